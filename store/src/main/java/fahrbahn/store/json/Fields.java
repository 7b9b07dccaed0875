package fahrbahn.store.json;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonStreamContext;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.check.BadValueException;
import fahrbahn.store.file.BadFileException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** A JSON object read field by field; whatever is missing, of the wrong kind or refused is named with its full path. */
public final class Fields {
    public static final ObjectMapper JSON = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    /** What other programs write where a number is missing. */
    private static final Pattern NO_NUMBER = Pattern.compile("Non-standard token '(-?\\w+)'");

    private final JsonNode node;
    private final String path;

    private Fields(JsonNode node, String path) {
        this.node = node;
        this.path = path;
    }

    /** @throws BadFileException when the text is not one JSON object */
    public static Fields parse(String json) throws BadFileException {
        try {
            JsonNode node = JSON.readTree(json);
            if (!node.isObject()) {
                throw new BadFileException("A JSON object in braces was expected, found " + shortened(node));
            }
            return new Fields(node, "");
        } catch (JsonProcessingException broken) {
            throw notJson(broken);
        }
    }

    /** An object that was read by itself. @param path where it stands */
    public static Fields inside(JsonNode node, String path) {
        if (!node.isObject()) {
            throw new BadValueException(path, shortened(node), "an object in braces");
        }
        return new Fields(node, path);
    }

    /** What is wrong with a text that is no JSON: the line, and where a number is missing the field. */
    public static BadFileException notJson(JsonProcessingException broken) {
        int line = broken.getLocation() == null ? 1 : broken.getLocation().getLineNr();
        Matcher noNumber = NO_NUMBER.matcher(broken.getOriginalMessage());
        if (noNumber.find() && broken.getProcessor() instanceof JsonParser parser) {
            return new BadFileException(
                    "Line " + line + ": " + path(parser.getParsingContext()) + " is " + noNumber.group(1)
                            + "; it must be a number",
                    broken);
        }
        return new BadFileException("Line " + line + " is not JSON: " + broken.getOriginalMessage(), broken);
    }

    /** Of where a reader is, as the fields of a file are called in messages: {@code robot.sensors[1].noise}. */
    private static String path(JsonStreamContext at) {
        if (at.inRoot()) {
            return "the file";
        }
        String outside = at.getParent().inRoot() ? "" : path(at.getParent());
        if (at.inArray()) {
            return outside + "[" + Math.max(0, at.getCurrentIndex()) + "]";
        }
        return outside.isEmpty() ? at.getCurrentName() : outside + "." + at.getCurrentName();
    }

    public ObjectNode json() {
        return (ObjectNode) node;
    }

    public Fields object(String name) {
        JsonNode child = node.path(name);
        if (!child.isObject()) {
            throw wrong(name, child, "an object in braces");
        }
        return new Fields(child, path(name));
    }

    public boolean has(String name) {
        return !node.path(name).isMissingNode() && !node.path(name).isNull();
    }

    /** The object of this name, or an empty one that stands for all defaults. */
    public Fields objectOrNothing(String name) {
        return has(name) ? object(name) : new Fields(JSON.createObjectNode(), path(name));
    }

    List<Fields> objectsOrNothing(String name) {
        return has(name) ? objects(name) : List.of();
    }

    List<Double> numbersOrNothing(String name) {
        if (!has(name)) {
            return List.of();
        }
        JsonNode child = node.path(name);
        List<Double> all = new ArrayList<>();
        for (int i = 0; i < child.size(); i++) {
            if (!child.get(i).isNumber()) {
                throw wrong(name + "[" + i + "]", child.get(i), "a number");
            }
            all.add(child.get(i).doubleValue());
        }
        if (!child.isArray()) {
            throw wrong(name, child, "a list in brackets");
        }
        return all;
    }

    public List<Fields> objects(String name) {
        JsonNode child = node.path(name);
        if (!child.isArray()) {
            throw wrong(name, child, "a list in brackets");
        }
        List<Fields> all = new ArrayList<>();
        for (int i = 0; i < child.size(); i++) {
            String place = name + "[" + i + "]";
            if (!child.get(i).isObject()) {
                throw wrong(place, child.get(i), "an object in braces");
            }
            all.add(new Fields(child.get(i), path(place)));
        }
        return all;
    }

    /** Those of a list; none where it is missing. */
    public List<String> texts(String name) {
        JsonNode list = node.path(name);
        if (has(name) && !list.isArray()) {
            throw wrong(name, list, "a list of texts");
        }
        List<String> all = new ArrayList<>();
        for (int i = 0; i < list.size(); i++) {
            if (!list.get(i).isTextual()) {
                throw wrong(name + "[" + i + "]", list.get(i), "a text in quotes");
            }
            all.add(list.get(i).textValue());
        }
        return all;
    }

    public JsonNode raw(String name) {
        return node.path(name);
    }

    public double number(String name) {
        JsonNode child = node.path(name);
        if (!child.isNumber()) {
            throw wrong(name, child, "a number");
        }
        return child.doubleValue();
    }

    public double number(String name, double whenAbsent) {
        return has(name) ? number(name) : whenAbsent;
    }

    public boolean truth(String name, boolean whenAbsent) {
        return has(name) ? truth(name) : whenAbsent;
    }

    public boolean truth(String name) {
        JsonNode child = node.path(name);
        if (!child.isBoolean()) {
            throw wrong(name, child, "true or false");
        }
        return child.booleanValue();
    }

    public String text(String name) {
        JsonNode child = node.path(name);
        if (!child.isTextual()) {
            throw wrong(name, child, "a text in quotes");
        }
        return child.textValue();
    }

    public String text(String name, String whenAbsent) {
        return has(name) ? text(name) : whenAbsent;
    }

    public <E> E oneOf(String name, E[] values, Function<E, String> word) {
        String given = text(name);
        for (E value : values) {
            if (word.apply(value).equals(given)) {
                return value;
            }
        }
        String words = Arrays.stream(values).map(word).map(w -> "\"" + w + "\"").collect(Collectors.joining(" or "));
        throw new BadValueException(path(name), "\"" + given + "\"", words);
    }

    public <E> E oneOf(String name, E[] values, Function<E, String> word, E whenAbsent) {
        return has(name) ? oneOf(name, values, word) : whenAbsent;
    }

    /** Makes a value from this object; what its constructor refuses is reported with the path of this object. */
    public <T> T make(Supplier<T> maker) {
        try {
            return maker.get();
        } catch (BadValueException refused) {
            boolean located = path.isEmpty() || refused.field().startsWith(path);
            throw located ? refused : refused.inside(path);
        }
    }

    private BadValueException wrong(String name, JsonNode found, String expected) {
        return new BadValueException(path(name), found.isMissingNode() ? "missing" : shortened(found), expected);
    }

    private String path(String name) {
        return path.isEmpty() ? name : path + "." + name;
    }

    private static String shortened(JsonNode found) {
        String text = found.toString();
        return text.length() > 60 ? text.substring(0, 57) + "..." : text;
    }
}
