package fahrbahn.core.trials;

import java.util.Locale;

/**
 * A run as a log book is searched.
 *
 * @param words all that is said of it, in small letters
 */
public record LogLine(Run run, String words) {
    public LogLine {
        words = words.toLowerCase(Locale.ROOT);
    }
}
