package fahrbahn.store.document;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Setting;
import fahrbahn.core.knowledge.TablePrint;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.ConditionsJson;
import fahrbahn.store.json.Documents;
import fahrbahn.store.json.Fields;
import fahrbahn.store.json.Shared;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

/** What a result rests on, as fields of a document; the setting is pointed to. */
final class BasisCodec implements Codec<Basis> {
    @Override
    public String write(Basis value, Shared shared) {
        ObjectNode root = Fields.JSON.createObjectNode();
        fill(root, value, shared);
        return root.toString();
    }

    @Override
    public Basis read(String id, String json, Shared shared) throws BadFileException {
        return Documents.parse(json, root -> in(root, shared));
    }

    static void fill(ObjectNode json, Basis basis, Shared shared) {
        json.put("at", basis.at().toString());
        basis.setting().ifPresent(s -> json.put("setting", shared.keep(s).id()));
        ConditionsJson.fill(json.putObject("conditions"), basis.conditions());
        if (!basis.known().isEmpty()) {
            ObjectNode known = json.putObject("known");
            basis.known().forEach((constant, half) -> known.put(constant.id(), half));
        }
        if (!basis.captures().isEmpty()) {
            ArrayNode captures = json.putArray("captures");
            basis.captures().forEach(captures::add);
        }
        if (!basis.table().equals(TablePrint.UNKNOWN)) {
            json.putObject("table")
                    .put("id", basis.table().id())
                    .put("name", basis.table().name())
                    .put("print", basis.table().print());
        }
    }

    static Basis in(Fields json, Shared shared) {
        Optional<Setting> setting =
                json.has("setting") ? Optional.of(shared.setting(json.text("setting"))) : Optional.empty();
        Map<Constant, Double> known = new EnumMap<>(Constant.class);
        for (Constant constant : Constant.values()) {
            JsonNode half = json.raw("known").path(constant.id());
            if (half.isNumber()) {
                known.put(constant, half.doubleValue());
            }
        }
        Fields table = json.objectOrNothing("table");
        return new Basis(
                CaptureCodec.instant(json),
                setting,
                shared.one(ConditionsJson.read(json.objectOrNothing("conditions"))),
                shared.one(Map.copyOf(known)),
                json.texts("captures"),
                shared.one(new TablePrint(table.text("id", ""), table.text("name", ""), table.text("print", ""))));
    }
}
