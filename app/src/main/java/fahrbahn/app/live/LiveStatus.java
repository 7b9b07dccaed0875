package fahrbahn.app.live;

/**
 * How the connection to the robot stands.
 *
 * @param source where readings come from, in words; empty without a link
 * @param readings received on this link so far
 * @param dropped readings that came faster than the window could take them
 * @param interruptions times the robot was unplugged or went away
 * @param quietS seconds since the last reading, whole ones; 0 while they come
 * @param simulated whether it is a bench robot, in this program or another
 */
public record LiveStatus(
        Phase phase,
        String source,
        long readings,
        long brokenLines,
        long dropped,
        int interruptions,
        int quietS,
        boolean simulated) {
    /** How the connection stands. */
    public enum Phase {
        NONE,
        WAITING,
        LIVE,
        /** The link stands, but nothing comes. */
        SILENT,
        /** The link is interrupted and tries to come back. */
        AWAY
    }

    static final LiveStatus NONE = new LiveStatus(Phase.NONE, "", 0, 0, 0, 0, 0, false);

    /** What is shown is of before, not of now. */
    public boolean old() {
        return phase == Phase.SILENT || phase == Phase.AWAY;
    }
}
