package fahrbahn.core.table;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import java.util.ArrayList;
import java.util.List;

/**
 * A line laid on a table from parts.
 *
 * @param widthMm table along x, above 0
 * @param heightMm table along y, above 0
 * @param start where the line's centre begins, and its direction
 * @param closed true when the end must meet the start
 */
public record Course(String name, double widthMm, double heightMm, Pose start, List<Part> parts, boolean closed) {
    /** What tape laid by hand can hide: an end this close to the start, mm and rad, counts as meeting it. */
    private static final double MEETS_MM = 1;

    private static final double MEETS_RAD = 0.01;

    /** Free table either side of a straight test line: more than any robot is lost at. */
    private static final double STRAIGHT_MARGIN_MM = 150;

    /** The raster of a longer table would not fit a small laptop's memory. */
    private static final double LONGEST_STRAIGHT_MM = 50_000;

    public Course {
        Check.text("name", name, "the course's name");
        Check.positive("widthMm", widthMm);
        Check.positive("heightMm", heightMm);
        parts = List.copyOf(parts);
        if (parts.isEmpty()) {
            throw new BadValueException("parts", "empty", "at least one part");
        }
        Path path = new Path(start, parts, closed);
        Pose end = path.end();
        if (closed) {
            double apart = Math.hypot(end.xMm() - start.xMm(), end.yMm() - start.yMm());
            double turned = Math.IEEEremainder(end.headingRad() - start.headingRad(), 2 * Math.PI);
            if (!(apart <= MEETS_MM && Math.abs(turned) <= MEETS_RAD)) {
                throw new BadValueException(
                        "parts",
                        "%.1f mm and %.2f rad apart at the ends".formatted(apart, turned),
                        "closed: the end must meet the start");
            }
        }
        for (double s = 0; s <= path.lengthMm(); s += 5) {
            Pose at = path.at(s);
            if (!(at.xMm() >= 0 && at.xMm() <= widthMm && at.yMm() >= 0 && at.yMm() <= heightMm)) {
                throw new BadValueException(
                        "parts",
                        "off the table at (%.0f, %.0f) mm".formatted(at.xMm(), at.yMm()),
                        "inside the table all along");
            }
        }
    }

    public Path path() {
        return new Path(start, parts, closed);
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

    /**
     * The club's own practice loop: two long sides, one with an S that swings in and back out, four quarter bends.
     * Tightest radius 150 mm.
     */
    public static Course workshopLoop() {
        double quarter = Math.PI / 2;
        double swing = Math.PI / 3;
        double swingAdvance = 2 * 150 * Math.sin(swing);
        double side = 1400;
        double lead = 180;
        List<Part> parts = new ArrayList<>();
        parts.add(new Part.Straight(side));
        parts.add(new Part.Bend(250, quarter));
        parts.add(new Part.Straight(300));
        parts.add(new Part.Bend(250, quarter));
        parts.add(new Part.Straight(lead));
        parts.add(new Part.Bend(150, swing));
        parts.add(new Part.Bend(150, -swing));
        parts.add(new Part.Straight(side - 2 * lead - 2 * swingAdvance));
        parts.add(new Part.Bend(150, -swing));
        parts.add(new Part.Bend(150, swing));
        parts.add(new Part.Straight(lead));
        parts.add(new Part.Bend(250, quarter));
        parts.add(new Part.Straight(300));
        parts.add(new Part.Bend(250, quarter));
        return new Course("Workshop loop", 2400, 1200, new Pose(500, 200, 0), parts, true);
    }
}
