package fahrbahn.app.runs.plan;

import fahrbahn.core.check.Check;

/** A number that a plan is made from. */
public enum PlanItem {
    /** There are, from now on. */
    MINUTES(40, 0.1, 1440, false),
    /** Of each setting. */
    RUNS_EACH(10, 1, 100, true),
    /** Of a run, s; nothing for as the log book tells. */
    LAP(Double.NaN, 0.1, 3600, false),
    /** Between two runs, s; likewise. */
    RESET(Double.NaN, 0, 3600, false),
    /** For the sign check and a slow run of each robot, s. */
    CHECK(60, 0, 3600, false),
    /** That a battery lasts; nothing when none is swapped. */
    BATTERY_RUNS(Double.NaN, 1, 10_000, true),
    /** How long a swap takes, s. */
    SWAP(90, 0, 3600, false),
    /** The minute at which the lamps change; nothing when they do not. */
    LAMPS(Double.NaN, 0, 1440, false);

    private final double usual;
    private final double least;
    private final double most;
    private final boolean whole;

    PlanItem(double usual, double least, double most, boolean whole) {
        this.usual = usual;
        this.least = least;
        this.most = most;
        this.whole = whole;
    }

    double usual() {
        return usual;
    }

    /** Whether nothing may stand there. */
    boolean mayBeEmpty() {
        return Double.isNaN(usual);
    }

    /** @throws fahrbahn.core.check.BadValueException when it cannot be */
    void check(double value) {
        if (mayBeEmpty() && Double.isNaN(value)) {
            return;
        }
        Check.between(PlanWords.name(this), value, least, most);
        Check.require(!whole || value == Math.rint(value), PlanWords.name(this), value, "a whole number");
    }
}
