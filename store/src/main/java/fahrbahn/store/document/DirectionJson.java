package fahrbahn.store.document;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Side;
import fahrbahn.core.setup.SteeringDirection;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.Documents;
import fahrbahn.store.json.Fields;
import java.util.ArrayList;
import java.util.List;

/** What decides which way a robot turns, as a document. */
final class DirectionJson {
    private DirectionJson() {}

    static String write(SteeringDirection seen) {
        ObjectNode root = Fields.JSON
                .createObjectNode()
                .put("kind", seen.signal().word())
                .put("side", seen.side().word())
                .put("polarity", seen.polarity().word());
        ArrayNode sensors = root.putArray("lightIsMore");
        seen.lightIsMore().forEach(sensors::add);
        return root.toString();
    }

    /** @throws BadFileException naming what is wrong in the document */
    static SteeringDirection parse(String json) throws BadFileException {
        return Documents.parse(json, root -> {
            List<Boolean> lightIsMore = new ArrayList<>();
            for (JsonNode sensor : root.raw("lightIsMore")) {
                lightIsMore.add(sensor.asBoolean());
            }
            return new SteeringDirection(
                    root.oneOf("kind", ErrorSignal.values(), ErrorSignal::word),
                    root.oneOf("side", Side.values(), Side::word),
                    root.oneOf("polarity", Polarity.values(), Polarity::word),
                    lightIsMore);
        });
    }
}
