package fahrbahn.core.table;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.check.Text;
import fahrbahn.core.colour.Channel;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.Path;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.Palette;
import fahrbahn.core.raster.Raster;
import fahrbahn.core.setup.Line;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A line laid on a table from parts.
 *
 * @param widthMm table along x, above 0, at most 100 m
 * @param heightMm table along y, likewise
 * @param start where the line's centre begins, and its direction
 * @param closed true when the end must meet the start
 * @param palette the surfaces
 */
public record Course(
        String name, double widthMm, double heightMm, Pose start, List<Part> parts, boolean closed, Palette palette)
        implements Ground {
    /** What tape laid by hand can hide: an end this close to the start, mm and rad, counts as meeting it. */
    private static final double MEETS_MM = 1;

    private static final double MEETS_RAD = 0.01;

    /** Free table either side of a straight test line: more than any robot is lost at. */
    private static final double STRAIGHT_MARGIN_MM = 150;

    /** The raster of a longer table would not fit a small laptop's memory. */
    private static final double LONGEST_STRAIGHT_MM = 50_000;

    /** A hall and not a table: a slip of the decimal point rather than a wish. */
    private static final double LARGEST_MM = 100_000;

    private static final double LONGEST_MM = 500_000;

    /** Two pieces of line nearer than this, middle to middle, would be read as one: a usual line and as much ground again. */
    static final double LEAST_APART_MM = 40;

    /** Along the line, pieces nearer than this are neighbours and cannot overlap. */
    private static final double NEIGHBOURS_MM = 3 * LEAST_APART_MM;

    private static final double CHECK_STEP_MM = 5;

    public Course {
        Check.text("name", name, "the course's name");
        checkSide("widthMm", widthMm);
        checkSide("heightMm", heightMm);
        parts = List.copyOf(parts);
        if (parts.isEmpty()) {
            throw new BadValueException("parts", "empty", "at least one part");
        }
        for (int i = 0; i < parts.size() - 1; i++) {
            if (parts.get(i) instanceof Part.Crossing crossing && crossing.way() == Part.Turn.ROUND) {
                throw new BadValueException(
                        "parts",
                        "more after part " + (i + 1),
                        "nothing after a crossing at which the robot turns round: the course ends there");
            }
        }
        Path path = new Path(start, parts, closed);
        Check.require(
                path.lengthMm() <= LONGEST_MM,
                "parts",
                path.lengthMm(),
                "at most " + LONGEST_MM + " mm of line together");
        if (closed) {
            checkMeets(start, path.end());
        }
        checkOnTable(path, widthMm, heightMm);
        checkOverlap(path);
    }

    /** A course with the usual surfaces. */
    public Course(String name, double widthMm, double heightMm, Pose start, List<Part> parts, boolean closed) {
        this(name, widthMm, heightMm, start, parts, closed, Palette.USUAL);
    }

    static void checkSide(String field, double sideMm) {
        Check.require(sideMm > 0 && sideMm <= LARGEST_MM, field, sideMm, "above 0, at most " + LARGEST_MM + " mm");
    }

    private static void checkMeets(Pose start, Pose end) {
        double apart = Math.hypot(end.xMm() - start.xMm(), end.yMm() - start.yMm());
        double turned = Math.IEEEremainder(end.headingRad() - start.headingRad(), 2 * Math.PI);
        if (!(apart <= MEETS_MM && Math.abs(turned) <= MEETS_RAD)) {
            throw new BadValueException(
                    "parts",
                    Text.of("%.1f mm and %.2f rad apart at the ends", apart, turned),
                    "closed: the end must meet the start");
        }
    }

    private static void checkOnTable(Path path, double widthMm, double heightMm) {
        for (double s = 0; s <= path.lengthMm(); s += CHECK_STEP_MM) {
            Pose at = path.at(s);
            if (!(at.xMm() >= 0 && at.xMm() <= widthMm && at.yMm() >= 0 && at.yMm() <= heightMm)) {
                throw new BadValueException(
                        "parts",
                        Text.of("off the table at (%.0f, %.0f) mm", at.xMm(), at.yMm()),
                        "inside the table all along");
            }
        }
    }

    /** Compares each place with those already passed in the squares round it, so that a long course takes no longer than it is. */
    private static void checkOverlap(Path path) {
        Map<Long, Double> passed = new HashMap<>();
        for (double s = 0; s <= path.lengthMm(); s += CHECK_STEP_MM) {
            if (path.stretchAt(s).part() instanceof Part.Crossing) {
                continue;
            }
            Pose at = path.at(s);
            long column = (long) Math.floor(at.xMm() / LEAST_APART_MM);
            long row = (long) Math.floor(at.yMm() / LEAST_APART_MM);
            for (long near = 0; near < 9; near++) {
                Double before = passed.get(square(column + near % 3 - 1, row + near / 3 - 1));
                if (before != null && overlap(path, before, s)) {
                    throw new BadValueException(
                            "parts",
                            Text.of(
                                    "too near itself at (%.0f, %.0f) mm, %.0f mm and %.0f mm from the start",
                                    at.xMm(), at.yMm(), before, s),
                            Text.of("at least %.0f mm apart, or a crossing", LEAST_APART_MM));
                }
            }
            passed.putIfAbsent(square(column, row), s);
        }
    }

    private static boolean overlap(Path path, double before, double s) {
        double along = s - before;
        double around = path.closed() ? Math.min(along, path.lengthMm() - along) : along;
        Pose a = path.at(before);
        Pose b = path.at(s);
        return around > NEIGHBOURS_MM && Math.hypot(a.xMm() - b.xMm(), a.yMm() - b.yMm()) < LEAST_APART_MM;
    }

    private static long square(long column, long row) {
        return column * 1_000_003L + row;
    }

    @Override
    public Raster painted(Line line, Channel channel, double cellMm) {
        return Painter.painted(this, line, channel, cellMm);
    }

    @Override
    public double tightestRadiusMm() {
        return path().tightestRadiusMm();
    }

    @Override
    public Path path() {
        return new Path(start, parts, closed);
    }

    @Override
    public Relief relief() {
        return Relief.of(path());
    }

    /** A single straight line, for tests of the loop. @param lengthMm above 0, at most 50 m */
    public static Course straight(double lengthMm) {
        Check.positive("straight", lengthMm);
        Check.require(lengthMm <= LONGEST_STRAIGHT_MM, "straight", lengthMm, "at most " + LONGEST_STRAIGHT_MM + " mm");
        double margin = STRAIGHT_MARGIN_MM;
        return new Course(
                "straight",
                lengthMm + 2 * margin,
                2 * margin,
                new Pose(margin, margin, 0),
                List.of(new Part.Straight(lengthMm)),
                false);
    }
}
