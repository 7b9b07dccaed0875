package fahrbahn.store;

import java.time.Instant;
import java.util.Optional;

/**
 * What a document was from one moment on.
 *
 * @param body JSON; empty when it was removed at that moment
 */
public record Revision(Instant at, Optional<String> body) {}
