package fahrbahn.store.document;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.language.Language;
import fahrbahn.core.language.Style;
import fahrbahn.core.program.Grain;
import fahrbahn.core.program.HandOver;
import fahrbahn.core.program.TypedBack.Handed;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.Documents;
import fahrbahn.store.json.Fields;

/** What was handed over to a robot's program, and how a team writes programs, as documents. */
public final class HandOverJson {
    private HandOverJson() {}

    public static String write(HandOver handOver) {
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
    public static HandOver parse(String json) throws BadFileException {
        return Documents.parse(
                json,
                root -> new HandOver(
                        CaptureCodec.instant(root),
                        root.oneOf("numbers", Grain.values(), Grain::word),
                        root.objects("constants").stream()
                                .map(c -> c.make(() -> new Handed(c.text("name"), c.number("value"))))
                                .toList()));
    }

    public static String write(Style style) {
        return Fields.JSON
                .createObjectNode()
                .put("language", style.language().word())
                .put("numbers", style.grain().word())
                .toString();
    }

    /** @throws BadFileException naming what is wrong in the document */
    public static Style parseStyle(String json) throws BadFileException {
        return Documents.parse(
                json,
                root -> new Style(
                        root.oneOf("language", Language.values(), Language::word),
                        root.oneOf("numbers", Grain.values(), Grain::word)));
    }
}
