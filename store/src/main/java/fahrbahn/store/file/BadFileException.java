package fahrbahn.store.file;

/** A file that cannot be used; the message names the file, what is wrong in it and what was expected. */
public class BadFileException extends Exception {
    public BadFileException(String message) {
        super(message);
    }

    public BadFileException(String message, Throwable cause) {
        super(message, cause);
    }
}
