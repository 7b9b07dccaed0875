package fahrbahn.core.setup;

/** How a control law makes its {@link ErrorSignal} into steering. */
public enum Steering {
    /** In proportion to the error, its sum and its change. */
    GAINS,
    /** A staircase over the error, see {@link Options#steps}. */
    STEPS,
    /** By pattern, see {@link Options#patterns}: there is no error. */
    TABLE
}
