package fahrbahn.store;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.program.Grain;
import fahrbahn.core.program.HandOver;
import fahrbahn.core.program.Language;
import fahrbahn.core.program.Style;
import fahrbahn.core.program.TypedBack.Handed;

/** What was handed over to a robot's program, and how a team writes programs, as documents. */
final class HandOverJson {
    private HandOverJson() {}

    static String write(HandOver handOver) {
        ObjectNode root = Fields.JSON
                .createObjectNode()
                .put("at", handOver.at().toString())
                .put("numbers", handOver.grain().word());
        ArrayNode constants = root.putArray("constants");
        handOver.constants()
                .forEach(c -> constants.addObject().put("name", c.name()).put("value", c.value()));
        return root.toString();
    }

    /** @throws BadFileException naming what is wrong in the document */
    static HandOver parse(String json) throws BadFileException {
        return Documents.parse(
                json,
                root -> new HandOver(
                        CaptureCodec.instant(root),
                        root.oneOf("numbers", Grain.values(), Grain::word),
                        root.objects("constants").stream()
                                .map(c -> c.make(() -> new Handed(c.text("name"), c.number("value"))))
                                .toList()));
    }

    static String write(Style style) {
        return Fields.JSON
                .createObjectNode()
                .put("language", style.language().word())
                .put("numbers", style.grain().word())
                .toString();
    }

    /** @throws BadFileException naming what is wrong in the document */
    static Style parseStyle(String json) throws BadFileException {
        return Documents.parse(
                json,
                root -> new Style(
                        root.oneOf("language", Language.values(), Language::word),
                        root.oneOf("numbers", Grain.values(), Grain::word)));
    }
}
