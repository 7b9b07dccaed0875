package fahrbahn.headless;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Optional;
import java.util.OptionalDouble;

/** Answers of the commands. */
final class Json {
    private Json() {}

    static ObjectNode object() {
        return JsonNodeFactory.instance.objectNode();
    }

    static void put(ObjectNode object, String name, Optional<Double> value) {
        value.ifPresentOrElse(v -> object.put(name, v), () -> object.putNull(name));
    }

    static void put(ObjectNode object, String name, OptionalDouble value) {
        put(object, name, value.isPresent() ? Optional.of(value.getAsDouble()) : Optional.empty());
    }
}
