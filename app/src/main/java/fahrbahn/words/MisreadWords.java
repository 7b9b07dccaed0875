package fahrbahn.words;

import fahrbahn.core.levels.Levels;
import fahrbahn.core.levels.Misreads;

/** Misreads as they can be claimed: what was seen, and what that proves. */
public final class MisreadWords {
    private MisreadWords() {}

    /** What was counted, with its interval. */
    public static String of(Misreads m) {
        return m.seen() == 0
                ? "none in " + m.of() + ": fewer than " + Words.oneIn(m.high())
                : m.seen() + " in " + m.of() + ": " + Words.oneIn(m.high()) + " to " + Words.oneIn(m.low());
    }

    /** What a level would misread by the scatter of its surfaces, as far as their readings can show it. */
    public static String by(Levels levels, double level) {
        double chance = levels.misread(level);
        return Misreads.shows(chance, levels.readings())
                ? "about " + Words.oneIn(chance)
                : "fewer than " + Words.oneIn(Misreads.of(0, levels.readings()).high());
    }
}
