package fahrbahn.core.check;

/**
 * What physics leaves possible for a robot on a table: generous, so that no real one is refused, and narrow enough that a slipped
 * decimal point or a wrong unit is. The same for files, fields and commands.
 */
public final class Bounds {
    /** No robot of a table is larger, mm. */
    public static final double ROBOT_MM = 2000;

    /** A sensor that sees more than a hand's breadth sees no line, mm. */
    public static final double SPOT_MM = 200;

    /** Faster nothing on wheels follows a line, mm/s. */
    public static final double SPEED_MM_PER_S = 20_000;

    /** Wheels that take longer to follow would not be driven by a loop, s. */
    public static final double LAG_S = 5;

    /** Ten thousand loops a second are more than any motor notices, s. */
    public static final double SHORTEST_LOOP_S = 1e-4;

    /** A robot that looks less often than once in five seconds follows nothing, s. */
    public static final double LONGEST_LOOP_S = 5;

    /** Wider than a table's line ever is, mm. */
    public static final double LINE_MM = 500;

    /** A bend of this radius is straight, mm. */
    public static final double RADIUS_MM = 1e6;

    /** Commands, readings and gains are counted in the program's numbers; 32 bits hold them all. */
    public static final double NUMBER = 4_294_967_296.0;

    private Bounds() {}
}
