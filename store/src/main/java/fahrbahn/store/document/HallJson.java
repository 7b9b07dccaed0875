package fahrbahn.store.document;

import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.hall.HallDay;
import fahrbahn.core.hall.HallStep;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.Documents;
import fahrbahn.store.json.Fields;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;

/** A robot's minutes in a new hall, as a document. */
public final class HallJson {
    private HallJson() {}

    public static String write(HallDay day) {
        ObjectNode root =
                Fields.JSON.createObjectNode().put("at", day.begun().toString()).put("minutes", day.minutes());
        ObjectNode done = root.putObject("done");
        for (HallStep step : HallStep.values()) {
            if (day.done().containsKey(step)) {
                done.put(word(step), day.done().get(step).toString());
            }
        }
        return root.toString();
    }

    /** @throws BadFileException naming what is wrong in the document */
    public static HallDay parse(String json) throws BadFileException {
        return Documents.parse(json, root -> {
            Map<HallStep, Instant> done = new EnumMap<>(HallStep.class);
            Fields steps = root.object("done");
            for (HallStep step : HallStep.values()) {
                if (steps.has(word(step))) {
                    done.put(step, instant(steps, word(step)));
                }
            }
            return new HallDay(CaptureCodec.instant(root), root.number("minutes"), done);
        });
    }

    private static Instant instant(Fields steps, String field) {
        try {
            return Instant.parse(steps.text(field));
        } catch (DateTimeParseException none) {
            throw new BadValueException(field, "\"" + steps.text(field) + "\"", "a moment");
        }
    }

    private static String word(HallStep step) {
        return step.name().toLowerCase(Locale.ROOT);
    }
}
