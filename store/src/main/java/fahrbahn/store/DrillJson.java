package fahrbahn.store;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.drill.DrillFault;
import fahrbahn.core.drill.DrillScore;
import fahrbahn.core.drill.DrillScore.Answer;
import java.util.Locale;

/** What was answered in drills, as a document. */
final class DrillJson {
    private DrillJson() {}

    static String write(DrillScore score) {
        ObjectNode root = Fields.JSON.createObjectNode();
        ArrayNode answers = root.putArray("answers");
        score.answers()
                .forEach(a -> answers.addObject()
                        .put("who", a.who())
                        .put("fault", word(a.fault()))
                        .put("said", word(a.said())));
        return root.toString();
    }

    /** @throws BadFileException naming what is wrong in the document */
    static DrillScore parse(String json) throws BadFileException {
        return Documents.parse(
                json,
                root -> new DrillScore(root.objects("answers").stream()
                        .map(a -> new Answer(
                                a.text("who"),
                                a.oneOf("fault", DrillFault.values(), DrillJson::word),
                                a.oneOf("said", DrillFault.values(), DrillJson::word)))
                        .toList()));
    }

    private static String word(DrillFault fault) {
        return fault.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
