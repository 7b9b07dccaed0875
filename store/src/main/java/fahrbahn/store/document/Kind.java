package fahrbahn.store.document;

/**
 * A sort of document, described once.
 *
 * @param name in the file; what has been released is never renamed
 * @param scope whose such documents are
 */
public record Kind<T>(String name, Scope scope, Codec<T> codec) {
    /** Name of the document of an owner that has but one of this kind. */
    public static final String ONLY = "main";

    /** Whose a document is. */
    public enum Scope {
        SEASON,
        ROBOT,
        TABLE,
        VENUE
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Kind<?> that && name.equals(that.name);
    }

    @Override
    public int hashCode() {
        return name.hashCode();
    }

    @Override
    public String toString() {
        return name;
    }
}
