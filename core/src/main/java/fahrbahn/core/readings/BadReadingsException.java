package fahrbahn.core.readings;

/** Readings that cannot be understood; the message names the line, the value and what was expected. */
public final class BadReadingsException extends Exception {
    public BadReadingsException(String message) {
        super(message);
    }

    BadReadingsException(long line, String message) {
        super("Line " + line + ": " + message);
    }
}
