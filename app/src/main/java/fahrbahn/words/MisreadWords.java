package fahrbahn.words;

import fahrbahn.core.levels.Misreads;

/** Misreads as they can be claimed: what was seen, and what that proves. */
public final class MisreadWords {
    private MisreadWords() {}

    /** What was counted, with its interval. */
    public static String of(Misreads m) {
        return m.seen() == 0
                ? "none in " + m.of() + ": less than " + Words.oneIn(m.high())
                : m.seen() + " in " + m.of() + ": " + Words.oneIn(m.high()) + " to " + Words.oneIn(m.low());
    }
}
