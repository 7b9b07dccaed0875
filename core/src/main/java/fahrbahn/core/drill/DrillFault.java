package fahrbahn.core.drill;

/** What can be wrong in a drill. */
public enum DrillFault {
    TOO_SOFT,
    TOO_SHARP,
    NO_DAMPING,
    LAG,
    SWAPPED,
    WRONG_EDGE,
    LEVELS,
    GLARE,
    SLOW_LOOP,
    WORN_WHEELS,
    FLAT_BATTERY,
    CREASE,
    SATURATED;

    /** Whether it shows in readings of a robot held still, not in a run. */
    public boolean held() {
        return this == CREASE || this == SATURATED;
    }
}
