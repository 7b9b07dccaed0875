package fahrbahn.core.job;

/** The work was stopped because its {@link Job} asked for it; there is no result. */
public final class CancelledException extends RuntimeException {
    public CancelledException() {
        super("stopped when asked to");
    }
}
