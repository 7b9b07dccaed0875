package fahrbahn.store.document;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.readings.Reading;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.ConditionsJson;
import fahrbahn.store.json.Fields;
import fahrbahn.store.json.Shared;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/** A capture as a document: its sensors, and a row a reading: time, position, then one value a sensor; null where unknown. */
public final class CaptureCodec implements Codec<Capture> {
    private static final int VALUES_FROM = 2;

    @Override
    public String write(Capture capture, Shared shared) {
        ObjectNode root = Fields.JSON
                .createObjectNode()
                .put("surface", capture.surface())
                .put("at", capture.at().toString())
                .put("source", capture.source());
        ConditionsJson.fill(root.putObject("conditions"), capture.conditions());
        ArrayNode names = root.putArray("sensors");
        capture.sensors().forEach(names::add);
        ArrayNode rows = root.putArray("rows");
        for (Reading reading : capture.readings()) {
            ArrayNode row = rows.addArray();
            put(row, reading.tS());
            put(row, reading.positionMm());
            for (int i = 0; i < capture.sensors().size(); i++) {
                put(row, reading.value(i));
            }
        }
        return root.toString();
    }

    private static void put(ArrayNode row, double value) {
        if (Double.isNaN(value)) {
            row.addNull();
        } else {
            row.add(value);
        }
    }

    @Override
    public Capture read(String id, String json, Shared shared) throws BadFileException {
        try {
            Fields root = Fields.parse(json);
            String surface = root.text("surface");
            List<String> sensors = root.texts("sensors");
            List<Reading> readings = new ArrayList<>();
            for (JsonNode row : root.raw("rows")) {
                double[] values = new double[sensors.size()];
                for (int i = 0; i < values.length; i++) {
                    values[i] = row.path(VALUES_FROM + i).asDouble(Double.NaN);
                }
                readings.add(new Reading(
                        row.path(0).asDouble(Double.NaN), surface, row.path(1).asDouble(Double.NaN), values));
            }
            Conditions conditions = ConditionsJson.read(root.objectOrNothing("conditions"));
            return new Capture(id, surface, instant(root), root.text("source"), sensors, readings, conditions);
        } catch (BadValueException refused) {
            throw new BadFileException("capture " + id + ": " + refused.getMessage(), refused);
        }
    }

    static Instant instant(Fields root) {
        try {
            return Instant.parse(root.text("at"));
        } catch (DateTimeException broken) {
            throw new BadValueException("at", root.text("at"), "a moment like 2026-03-07T10:15:30Z");
        }
    }
}
