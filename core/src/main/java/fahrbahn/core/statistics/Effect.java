package fahrbahn.core.statistics;

/**
 * How much two groups differ, second less first or second over first, with its 95 % interval and the chance of a difference at
 * least as large when there is none. NaN where there are too few values to say.
 *
 * @param moreRunsEach about how many more runs of each group would show a difference of this size four times out of five; 0 when
 *     it is shown already, -1 when there is nothing to show
 */
public record Effect(double size, double low, double high, double p, int moreRunsEach) {
    /** A difference that luck brings in fewer cases than this is shown. */
    public static final double SHOWN = 0.05;

    /** Shown: such a difference comes up by luck in fewer than one case in twenty. */
    public boolean shown() {
        return p < SHOWN;
    }
}
