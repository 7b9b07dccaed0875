package fahrbahn.store.document;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.hall.Checklist;
import fahrbahn.core.hall.Checklist.Item;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.Documents;
import fahrbahn.store.json.Fields;

/** A list to tick off, as a document. */
final class ChecklistJson {
    private ChecklistJson() {}

    static String write(Checklist list) {
        ObjectNode root = Fields.JSON.createObjectNode();
        ArrayNode items = root.putArray("items");
        list.items()
                .forEach(i -> items.addObject()
                        .put("words", i.words())
                        .put("forgotten", i.forgotten())
                        .put("done", i.done()));
        return root.toString();
    }

    /** @throws BadFileException naming what is wrong in the document */
    static Checklist parse(String json) throws BadFileException {
        return Documents.parse(
                json,
                root -> new Checklist(root.objects("items").stream()
                        .map(i -> i.make(() -> new Item(
                                i.text("words"),
                                (int) i.number("forgotten"),
                                i.raw("done").asBoolean())))
                        .toList()));
    }
}
