package fahrbahn.store.season;

import java.util.Optional;

/**
 * What a document becomes.
 *
 * @param kind what sort of document
 * @param owner whose it is; empty when it is the season's own
 * @param id which one of its kind and owner
 * @param body JSON; empty when the document is removed
 */
public record Change(String kind, String owner, String id, Optional<String> body) {
    public static Change put(String kind, String owner, String id, String body) {
        return new Change(kind, owner, id, Optional.of(body));
    }

    public static Change remove(String kind, String owner, String id) {
        return new Change(kind, owner, id, Optional.empty());
    }
}
