package fahrbahn.headless.kit;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.NullNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.statistics.Completion;
import fahrbahn.core.statistics.Sample;
import java.util.Optional;
import java.util.OptionalDouble;
import picocli.CommandLine.Model.CommandSpec;

/** Answers of the commands. */
public final class Json {
    private Json() {}

    public static ObjectNode object() {
        return JsonNodeFactory.instance.objectNode();
    }

    /** Puts an answer on standard output. A number that is none, because nothing was measured, is told as null. */
    public static void print(CommandSpec spec, ObjectNode answer) {
        clean(answer);
        spec.commandLine().getOut().println(answer.toPrettyString());
    }

    private static void clean(JsonNode node) {
        if (node instanceof ObjectNode object) {
            object.properties().forEach(field -> field.setValue(cleaned(field.getValue())));
        } else if (node instanceof ArrayNode array) {
            for (int i = 0; i < array.size(); i++) {
                array.set(i, cleaned(array.get(i)));
            }
        }
    }

    private static JsonNode cleaned(JsonNode node) {
        if (node.isDouble() && !Double.isFinite(node.doubleValue())) {
            return NullNode.instance;
        }
        clean(node);
        return node;
    }

    public static void put(ObjectNode object, String name, Optional<Double> value) {
        value.ifPresentOrElse(v -> object.put(name, v), () -> object.putNull(name));
    }

    /** A number that is not one, because nothing was measured, is told as null. */
    public static void put(ObjectNode object, String name, double value) {
        put(object, name, Double.isFinite(value) ? Optional.of(value) : Optional.empty());
    }

    /** @param countName what the number of runs is called */
    public static ObjectNode of(Completion completion, String countName) {
        return object().put(countName, completion.runs())
                .put("completed", completion.completed())
                .put("completionLow", completion.low())
                .put("completionHigh", completion.high());
    }

    public static void put(ObjectNode object, Sample sample) {
        object.put("n", sample.n());
        put(object, "mean", sample.mean());
        put(object, "sd", sample.sd());
    }

    public static void put(ObjectNode object, String name, OptionalDouble value) {
        put(object, name, value.isPresent() ? Optional.of(value.getAsDouble()) : Optional.empty());
    }
}
