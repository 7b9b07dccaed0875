package fahrbahn.store.json;

import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.readings.Lamp;
import fahrbahn.store.file.BadFileException;

/** Conditions as fields of a document; what was not noted is left out. */
public final class ConditionsJson {
    private ConditionsJson() {}

    public static String write(Conditions conditions) {
        ObjectNode root = Fields.JSON.createObjectNode();
        fill(root, conditions);
        return root.toString();
    }

    /** @throws BadFileException naming what is wrong in the document */
    public static Conditions parse(String json) throws BadFileException {
        return Documents.parse(json, ConditionsJson::read);
    }

    public static void fill(ObjectNode json, Conditions conditions) {
        json.put("venue", conditions.venue())
                .put("lamp", conditions.lamp().word())
                .put("wheels", conditions.wheels());
        put(json, "sensorHeightMm", conditions.sensorHeightMm());
        put(json, "batteryV", conditions.batteryV());
    }

    private static void put(ObjectNode json, String name, double value) {
        if (!Double.isNaN(value)) {
            json.put(name, value);
        }
    }

    public static Conditions read(Fields json) {
        return json.make(() -> new Conditions(
                json.text("venue", ""),
                json.oneOf("lamp", Lamp.values(), Lamp::word, Lamp.ON),
                json.number("sensorHeightMm", Double.NaN),
                json.number("batteryV", Double.NaN),
                json.text("wheels", "")));
    }
}
