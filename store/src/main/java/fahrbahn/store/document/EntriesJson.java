package fahrbahn.store.document;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.Documents;
import fahrbahn.store.json.Fields;
import java.util.ArrayList;
import java.util.List;

/** Rows of numbers typed by hand, as a document; null for what was not measured, NaN here. */
public final class EntriesJson {
    private EntriesJson() {}

    public static String write(List<List<Double>> rows) {
        ObjectNode root = Fields.JSON.createObjectNode();
        ArrayNode list = root.putArray("rows");
        for (List<Double> row : rows) {
            ArrayNode numbers = list.addArray();
            row.forEach(number -> numbers.add(Double.isNaN(number) ? null : number));
        }
        return root.toString();
    }

    /** @throws BadFileException naming what is wrong in the document */
    public static List<List<Double>> parse(String json) throws BadFileException {
        return Documents.parse(json, root -> {
            List<List<Double>> rows = new ArrayList<>();
            for (JsonNode row : root.raw("rows")) {
                List<Double> numbers = new ArrayList<>();
                row.forEach(number -> numbers.add(number.isNull() ? Double.NaN : number.asDouble()));
                rows.add(List.copyOf(numbers));
            }
            return List.copyOf(rows);
        });
    }
}
