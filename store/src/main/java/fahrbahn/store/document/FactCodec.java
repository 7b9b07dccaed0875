package fahrbahn.store.document;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.measuring.Measured;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.Documents;
import fahrbahn.store.json.Fields;
import fahrbahn.store.json.Shared;

/** A measured constant as a document. Older ones noted the circumstances but no setting. */
public final class FactCodec implements Codec<Fact> {
    @Override
    public String write(Fact fact, Shared shared) {
        ObjectNode root = Fields.JSON
                .createObjectNode()
                .put("constant", fact.constant().id())
                .put("value", fact.measured().value())
                .put("standardError", fact.measured().standardError())
                .put("count", fact.measured().entries());
        ArrayNode entries = root.putArray("entries");
        fact.entries().forEach(entries::add);
        BasisCodec.fill(root, fact.basis(), shared);
        return root.toString();
    }

    @Override
    public Fact read(String id, String json, Shared shared) throws BadFileException {
        return Documents.parse(
                json,
                root -> new Fact(
                        root.oneOf("constant", Constant.values(), Constant::id),
                        root.make(() -> new Measured(
                                root.number("value"), root.number("standardError"), (int) root.number("count"))),
                        root.texts("entries"),
                        BasisCodec.in(root, shared)));
    }
}
