package fahrbahn.app.errand;

/** Work that cannot be done, for a reason that lies in what it is given. */
public final class RefusedException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    /** @param words a sentence for the coach: why, and what to do */
    public RefusedException(String words) {
        super(words);
    }
}
