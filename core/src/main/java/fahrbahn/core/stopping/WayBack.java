package fahrbahn.core.stopping;

import fahrbahn.core.twin.BlindDrive.Until;

/** How a program brings the robot back to where it began. */
public enum WayBack {
    /** Straight back without looking, for as long as it came. */
    BACKS_BY_TIME(false, Until.TIME),
    /** Straight back without looking, for as many wheel turns as it came. */
    BACKS_BY_TURNS(false, Until.WHEEL_TURNS),
    /** Turns on the spot and follows the line back, both by time. */
    TURNS_BY_TIME(true, Until.TIME),
    /** Turns on the spot and follows the line back, both by wheel turns. */
    TURNS_BY_TURNS(true, Until.WHEEL_TURNS);

    private final boolean turnsRound;
    private final Until until;

    WayBack(boolean turnsRound, Until until) {
        this.turnsRound = turnsRound;
        this.until = until;
    }

    /** Whether it follows the line again, rather than backs off blind. */
    public boolean turnsRound() {
        return turnsRound;
    }

    Until until() {
        return until;
    }

    /** By what the way along the line is measured. */
    Rule rule() {
        return until == Until.TIME ? Rule.TIMER : Rule.WHEEL_TURNS;
    }
}
