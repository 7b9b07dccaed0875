package fahrbahn.app.state;

import java.util.Optional;

/** How a derived value stands. */
public sealed interface Value<V> {
    /** Nobody has shown it since its inputs are as they are. */
    record Unasked<V>() implements Value<V> {}

    /** It is being worked out. @param part what there is of it so far */
    record Computing<V>(Optional<V> part) implements Value<V> {}

    /** It is there, and of the inputs as they are. */
    record Ready<V>(V value) implements Value<V> {}

    /** It cannot be. @param words a sentence for the coach: why, and what to do */
    record Refused<V>(String words) implements Value<V> {}

    /** The value, when it is there. */
    default Optional<V> ready() {
        return this instanceof Ready<V> there ? Optional.of(there.value()) : Optional.empty();
    }

    /** What can be shown: the value, or as much of it as there is so far. */
    default Optional<V> shown() {
        return this instanceof Computing<V> computing ? computing.part() : ready();
    }

    /** Why there is none; empty unless it was refused. */
    default String refusal() {
        return this instanceof Refused<V> refused ? refused.words() : "";
    }

    /** Why there is nothing to be shown: that it is being worked out, in the words given, or why it cannot be. */
    default String absence(String computing) {
        return refusal().isEmpty() ? computing : refusal();
    }
}
