package fahrbahn.core.job;

/** The watch over a piece of work that takes a while: told how far it is, asked whether to go on. Any thread may call it. */
public interface Job {
    /** Nobody watches. */
    Job UNWATCHED = new Job() {};

    /** True to stop: what is begun is finished, nothing more is started, and {@link CancelledException} ends the work. */
    default boolean cancelled() {
        return false;
    }

    /** So many pieces done, of so many in all. */
    default void progress(int done, int of) {}
}
