package fahrbahn.store.document;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.drill.DrillFault;
import fahrbahn.core.drill.DrillScore;
import fahrbahn.core.drill.DrillScore.Answer;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.Documents;
import fahrbahn.store.json.Fields;
import java.util.Locale;
import java.util.Optional;

/** What was answered in drills, as a document. */
public final class DrillJson {
    private DrillJson() {}

    public static String write(DrillScore score) {
        ObjectNode root = Fields.JSON.createObjectNode();
        ArrayNode answers = root.putArray("answers");
        for (Answer a : score.answers()) {
            ObjectNode one = answers.addObject()
                    .put("who", a.who())
                    .put("fault", word(a.fault()))
                    .put("said", word(a.said()));
            a.mended().ifPresent(mended -> one.put("mended", mended));
        }
        return root.toString();
    }

    /** @throws BadFileException naming what is wrong in the document */
    public static DrillScore parse(String json) throws BadFileException {
        return Documents.parse(
                json,
                root -> new DrillScore(root.objects("answers").stream()
                        .map(a -> new Answer(
                                a.text("who"),
                                a.oneOf("fault", DrillFault.values(), DrillJson::word),
                                a.oneOf("said", DrillFault.values(), DrillJson::word),
                                a.has("mended") ? Optional.of(a.truth("mended")) : Optional.empty()))
                        .toList()));
    }

    private static String word(DrillFault fault) {
        return fault.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
