package fahrbahn.app.errand;

/** How an errand ended. */
public sealed interface Ending<T> {
    /** With a result. */
    record Done<T>(T result) implements Ending<T> {}

    /** What was given cannot be; the coach can mend it. @param words a sentence */
    record Refused<T>(String words) implements Ending<T> {}

    /** Somebody stopped it, or something newer took its place. */
    record Stopped<T>() implements Ending<T> {}

    /** The program failed; details are in the log. @param words a sentence */
    record Broken<T>(String words) implements Ending<T> {}

    /** Why there is no result, as a sentence; empty when there is one, and when nobody wants one any more. */
    static String words(Ending<?> ending) {
        if (ending instanceof Refused<?> refused) {
            return refused.words();
        }
        return ending instanceof Broken<?> broken ? broken.words() : "";
    }
}
