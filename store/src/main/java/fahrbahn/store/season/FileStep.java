package fahrbahn.store.season;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;

/**
 * Changes made at once, as they stand in the file.
 *
 * @param label in words
 * @param changes what the documents became
 */
public record FileStep(Instant at, Cause cause, String label, List<Change> changes) {
    /** Why a step was made. */
    public enum Cause {
        /** The coach changed something; it can be undone. */
        EDIT,
        UNDO,
        REDO,
        /** Kept, but no step of undo: what is in hand. */
        NOTE;

        String word() {
            return name().toLowerCase(java.util.Locale.ROOT);
        }

        static boolean known(String word) {
            return Arrays.stream(values()).anyMatch(cause -> cause.word().equals(word));
        }

        static Cause of(String word) {
            return valueOf(word.toUpperCase(java.util.Locale.ROOT));
        }
    }

    public FileStep {
        changes = List.copyOf(changes);
    }
}
