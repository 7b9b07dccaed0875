package fahrbahn.store.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.readings.ColumnMap;
import fahrbahn.store.file.BadFileException;
import java.util.LinkedHashMap;
import java.util.Map;

/** Which column is which sensor, as a document. */
public final class ColumnMapJson {
    private ColumnMapJson() {}

    public static String write(ColumnMap map) {
        ObjectNode root = Fields.JSON.createObjectNode();
        ObjectNode columns = root.putObject("columns");
        map.sensorOf().forEach(columns::put);
        return root.toString();
    }

    /** @throws BadFileException naming what is wrong in the document */
    public static ColumnMap parse(String json) throws BadFileException {
        return Documents.parse(json, root -> {
            Map<String, String> sensorOf = new LinkedHashMap<>();
            for (Map.Entry<String, JsonNode> column : root.raw("columns").properties()) {
                sensorOf.put(column.getKey(), column.getValue().asText());
            }
            return new ColumnMap(sensorOf);
        });
    }
}
