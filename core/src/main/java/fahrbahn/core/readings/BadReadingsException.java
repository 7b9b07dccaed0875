package fahrbahn.core.readings;

import fahrbahn.core.check.Text;

/** Readings that cannot be understood; the message names the line, the value and what was expected. */
public final class BadReadingsException extends Exception {
    private static final int MOST_LETTERS = 400;

    public BadReadingsException(String message) {
        super(Text.plain(message, MOST_LETTERS));
    }

    BadReadingsException(long line, String message) {
        this("Line " + line + ": " + message);
    }
}
