package fahrbahn.core.table;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.Path;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.Palette;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A course while it is being laid: its ends need not meet yet, it may lead off the table or over itself.
 *
 * @param widthMm table along x, above 0, at most 100 m
 * @param heightMm table along y, likewise
 * @param parts may be empty
 * @param closed true when its end is meant to meet its start
 */
public record Draft(
        String name, double widthMm, double heightMm, Pose start, List<Part> parts, boolean closed, Palette palette) {
    /** More could not be told apart on a table, and would make every change slow. */
    private static final int MOST_PARTS = 2000;

    /** Less than this is no bend and no straight: what rounding leaves. */
    private static final double NOTHING_RAD = 1e-6;

    private static final double NOTHING_MM = 0.01;

    public Draft {
        Check.text("name", name, "the course's name");
        Course.checkSide("widthMm", widthMm);
        Course.checkSide("heightMm", heightMm);
        Check.finite("start.xMm", start.xMm());
        Check.finite("start.yMm", start.yMm());
        Check.finite("start.headingRad", start.headingRad());
        parts = List.copyOf(parts);
        Check.require(parts.size() <= MOST_PARTS, "parts", parts.size(), "at most " + MOST_PARTS);
    }

    public static Draft of(Course course) {
        return new Draft(
                course.name(),
                course.widthMm(),
                course.heightMm(),
                course.start(),
                course.parts(),
                course.closed(),
                course.palette());
    }

    /** The finished course. @throws BadValueException when it is not one yet, with the reason */
    public Course course() {
        return new Course(name, widthMm, heightMm, start, parts, closed, palette);
    }

    /** What keeps it from being a course, in words; empty when nothing does. */
    public Optional<String> problem() {
        try {
            course();
            return Optional.empty();
        } catch (BadValueException unfinished) {
            return Optional.of(words(unfinished));
        }
    }

    static String words(BadValueException unfinished) {
        return "It is " + unfinished.value() + "; it must be " + unfinished.rule();
    }

    public Path path() {
        return new Path(start, parts, false);
    }

    /** Where each part begins; after them, where the last one ends. */
    public List<Pose> joints() {
        List<Pose> joints = new ArrayList<>();
        joints.add(start);
        for (Part part : parts) {
            joints.add(new Path(joints.get(joints.size() - 1), List.of(part), false).end());
        }
        return List.copyOf(joints);
    }

    /**
     * The part whose middle line passes nearest to a place.
     *
     * @param reachMm how far away it may pass
     * @return its number, or -1
     */
    public int partNear(double xMm, double yMm, double reachMm) {
        int nearest = -1;
        double least = reachMm;
        int index = -1;
        Part last = null;
        for (Path.Stretch stretch : path().stretches()) {
            index += stretch.part() != last || stretch.legOfPart() == 0 ? 1 : 0;
            last = stretch.part();
            int steps = 1 + (int) (stretch.lengthMm() / 5);
            for (int i = 0; i <= steps; i++) {
                Pose at = stretch.at(stretch.lengthMm() * i / steps);
                double away = Math.hypot(at.xMm() - xMm, at.yMm() - yMm);
                if (away < least) {
                    least = away;
                    nearest = index;
                }
            }
        }
        return nearest;
    }

    public Draft withPart(int index, Part part) {
        List<Part> changed = new ArrayList<>(parts);
        changed.set(index, part);
        return withParts(changed);
    }

    /** @param index place of the new part, 0 to the number of parts */
    public Draft inserted(int index, Part part) {
        List<Part> changed = new ArrayList<>(parts);
        changed.add(index, part);
        return withParts(changed);
    }

    public Draft removed(int index) {
        List<Part> changed = new ArrayList<>(parts);
        changed.remove(index);
        return withParts(changed);
    }

    public Draft withParts(List<Part> newParts) {
        return new Draft(name, widthMm, heightMm, start, newParts, closed, palette);
    }

    public Draft withStart(Pose newStart) {
        return new Draft(name, widthMm, heightMm, newStart, parts, closed, palette);
    }

    public Draft withClosed(boolean newClosed) {
        return new Draft(name, widthMm, heightMm, start, parts, newClosed, palette);
    }

    public Draft withTable(double newWidthMm, double newHeightMm) {
        return new Draft(name, newWidthMm, newHeightMm, start, parts, closed, palette);
    }

    public Draft withName(String newName) {
        return new Draft(newName, widthMm, heightMm, start, parts, closed, palette);
    }

    public Draft withPalette(Palette newPalette) {
        return new Draft(name, widthMm, heightMm, start, parts, closed, newPalette);
    }

    /**
     * The same led back to its start by a bend, a straight and a bend: of the four such ways (Dubins, Am. J. Math. 79 (1957),
     * 497-516) the shortest that makes a course.
     *
     * @param radiusMm of both bends, above 0
     * @throws BadValueException when none does
     */
    public Draft closed(double radiusMm) {
        Check.positive("radiusMm", radiusMm);
        Optional<String> why = Optional.empty();
        for (List<Part> way : Homeward.ways(path().end(), start, radiusMm)) {
            List<Part> all = new ArrayList<>(parts);
            way.stream().filter(Draft::something).forEach(all::add);
            Draft closed = withParts(all).withClosed(true);
            why = closed.problem();
            if (why.isEmpty()) {
                return closed;
            }
        }
        throw new BadValueException(
                "radiusMm",
                radiusMm,
                "such that a bend, a straight and a bend lead back to the start on the table (the shortest way would not do: "
                        + why.orElse("there is none") + ")");
    }

    private static boolean something(Part part) {
        return part instanceof Part.Bend bend ? Math.abs(bend.angleRad()) > NOTHING_RAD : part.lengthMm() > NOTHING_MM;
    }
}
