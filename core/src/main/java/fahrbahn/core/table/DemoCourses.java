package fahrbahn.core.table;

import fahrbahn.core.path.Part;
import fahrbahn.core.path.Pose;
import java.util.List;

/** Courses of our own to try robots on, one for each kind of work. */
public final class DemoCourses {
    private static final double QUARTER = Math.PI / 2;

    private DemoCourses() {}

    /** All of them, the practice loop first. */
    public static List<Course> all() {
        return List.of(workshopLoop(), rescue(), mission(), sprint());
    }

    /**
     * The club's practice loop: two long sides, one with an S that swings in and back out, four quarter bends. Tightest radius
     * 150 mm.
     */
    public static Course workshopLoop() {
        double swing = Math.PI / 3;
        double swingAdvance = 2 * 150 * Math.sin(swing);
        double side = 1400;
        double lead = 180;
        List<Part> parts = List.of(
                new Part.Straight(side),
                new Part.Bend(250, QUARTER),
                new Part.Straight(300),
                new Part.Bend(250, QUARTER),
                new Part.Straight(lead),
                new Part.SwingOver(150, swing),
                new Part.Straight(side - 2 * lead - 2 * swingAdvance),
                new Part.SwingOver(150, -swing),
                new Part.Straight(lead),
                new Part.Bend(250, QUARTER),
                new Part.Straight(300),
                new Part.Bend(250, QUARTER));
        return new Course("Workshop loop", 2400, 1200, new Pose(500, 200, 0), parts, true);
    }

    /** A rescue table: tight bends, two corners, a gap, a marked crossing, a bump, a ramp, the shiny entry of the last zone, the end. */
    public static Course rescue() {
        List<Part> parts = List.of(
                new Part.Straight(420),
                new Part.Gap(60),
                new Part.Straight(240),
                new Part.SwingOver(120, Math.PI / 4),
                new Part.Straight(180),
                new Part.Bend(130, QUARTER),
                new Part.Straight(120),
                new Part.Bump(60, 5),
                new Part.Straight(140),
                new Part.Bend(140, QUARTER),
                new Part.Straight(160),
                new Part.Crossing(110, Part.Turn.STRAIGHT, true),
                new Part.Straight(90),
                new Part.RightAngle(Part.Turn.RIGHT, 100),
                new Part.Straight(100),
                new Part.RightAngle(Part.Turn.LEFT, 100),
                new Part.Straight(40),
                new Part.Crease(30, 1.5),
                new Part.Straight(40),
                new Part.Bend(160, -QUARTER),
                new Part.Straight(140),
                new Part.Bend(160, -QUARTER),
                new Part.Straight(60),
                new Part.Ramp(260, 0.14),
                new Part.Straight(120),
                new Part.Ramp(260, -0.14),
                new Part.Straight(150),
                new Part.EntryStrip(25),
                new Part.Straight(180),
                new Part.StopStrip(40),
                new Part.End(180));
        return new Course("Quarry rescue", 2200, 1900, new Pose(200, 260, 0), parts, false);
    }

    /** A mission table: a line that leads from the base to a place, with a strip to stop at. */
    public static Course mission() {
        List<Part> parts = List.of(
                new Part.Straight(520),
                new Part.Bend(220, QUARTER),
                new Part.Straight(180),
                new Part.Bend(220, -QUARTER),
                new Part.Straight(360),
                new Part.SwingOver(200, -Math.PI / 6),
                new Part.Straight(200),
                new Part.StopStrip(40),
                new Part.End(140));
        return new Course("Harbour errand", 2350, 1150, new Pose(160, 220, 0), parts, false);
    }

    /** A sprint course for time: long straights and wide bends. */
    public static Course sprint() {
        List<Part> parts = List.of(
                new Part.Straight(1500),
                new Part.Bend(450, Math.PI),
                new Part.Straight(300),
                new Part.SwingOver(500, Math.PI / 9),
                new Part.Straight(1500 - 2 * 300 - 4 * 500 * Math.sin(Math.PI / 9)),
                new Part.SwingOver(500, -Math.PI / 9),
                new Part.Straight(300),
                new Part.Bend(450, Math.PI));
        return new Course("Airfield sprint", 2800, 1400, new Pose(650, 220, 0), parts, true);
    }
}
