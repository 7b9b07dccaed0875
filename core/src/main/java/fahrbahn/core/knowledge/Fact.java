package fahrbahn.core.knowledge;

import fahrbahn.core.difference.Cause;
import fahrbahn.core.measuring.Measured;
import java.time.Instant;
import java.util.List;

/**
 * A constant that has been measured: what, from which entries, and what that rests on.
 *
 * @param entries as the coach typed or the app took them, in words
 */
public record Fact(Constant constant, Measured measured, List<String> entries, Basis basis) {
    public Fact {
        entries = List.copyOf(entries);
    }

    public Fact withBasis(Basis newBasis) {
        return new Fact(constant, measured, entries, newBasis);
    }

    public Instant at() {
        return basis.at();
    }

    /** Why it does not hold any more; empty while it does. */
    public List<Cause> staleSince(Basis now) {
        // The wheels of the drawing have no part in it: what was measured was measured with the wheels that were on.
        return Since.of(basis, now).only(constant.dependsOn()).causes();
    }
}
