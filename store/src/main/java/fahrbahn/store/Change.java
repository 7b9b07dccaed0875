package fahrbahn.store;

import java.util.Optional;

/**
 * What a document becomes.
 *
 * @param kind what sort of fact it is
 * @param id which one of its kind
 * @param body JSON; empty when the document is removed
 */
public record Change(String kind, String id, Optional<String> body) {
    public static Change put(String kind, String id, String body) {
        return new Change(kind, id, Optional.of(body));
    }

    public static Change remove(String kind, String id) {
        return new Change(kind, id, Optional.empty());
    }
}
