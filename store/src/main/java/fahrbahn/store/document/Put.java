package fahrbahn.store.document;

import java.util.Optional;

/**
 * What a document becomes, as a value.
 *
 * @param owner whose it is; empty when it is the season's own
 * @param value empty when the document is removed
 * @param asWritten the text to keep when it is the user's own, unknown fields and all
 */
public record Put<T>(Kind<T> kind, String owner, String id, Optional<T> value, Optional<String> asWritten) {
    public static <T> Put<T> of(Kind<T> kind, String owner, String id, T value) {
        return new Put<>(kind, owner, id, Optional.of(value), Optional.empty());
    }

    /** The one document of its kind that an owner has. */
    public static <T> Put<T> of(Kind<T> kind, String owner, T value) {
        return of(kind, owner, Kind.ONLY, value);
    }

    public static <T> Put<T> away(Kind<T> kind, String owner, String id) {
        return new Put<>(kind, owner, id, Optional.empty(), Optional.empty());
    }

    public Put<T> writtenAs(String text) {
        return new Put<>(kind, owner, id, value, Optional.of(text));
    }
}
