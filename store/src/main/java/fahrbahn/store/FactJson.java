package fahrbahn.store;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.measuring.Constant;
import fahrbahn.core.measuring.Fact;
import fahrbahn.core.measuring.Measured;

/** A measured constant as a document. */
public final class FactJson {
    private FactJson() {}

    public static String write(Fact fact) {
        ObjectNode root = Fields.JSON
                .createObjectNode()
                .put("constant", fact.constant().word())
                .put("value", fact.measured().value())
                .put("standardError", fact.measured().standardError())
                .put("count", fact.measured().entries())
                .put("at", fact.at().toString())
                .put("loopPeriodS", fact.loopPeriodS());
        ArrayNode entries = root.putArray("entries");
        fact.entries().forEach(entries::add);
        ConditionsJson.fill(root.putObject("conditions"), fact.conditions());
        return root.toString();
    }

    /** @throws BadFileException naming what is wrong in the document */
    public static Fact parse(String json) throws BadFileException {
        return Documents.parse(
                json,
                root -> new Fact(
                        root.oneOf("constant", Constant.values(), Constant::word),
                        root.make(() -> new Measured(
                                root.number("value"), root.number("standardError"), (int) root.number("count"))),
                        CaptureJson.instant(root),
                        root.texts("entries"),
                        ConditionsJson.read(root.objectOrNothing("conditions")),
                        root.number("loopPeriodS")));
    }
}
