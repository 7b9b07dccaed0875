package fahrbahn.store;

import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.trials.RunRecord;

/** A logged run as a document; a figure nobody measured is left out. */
public final class RunJson {
    private RunJson() {}

    public static String write(RunRecord run) {
        ObjectNode root = Fields.JSON
                .createObjectNode()
                .put("at", run.at().toString())
                .put("source", run.source().word())
                .put("course", run.course())
                .put("completed", run.outcome().completed())
                .put("note", run.note());
        putMeasured(root, "timeS", run.outcome().timeS());
        putMeasured(root, "rmsMm", run.outcome().rmsMm());
        SetupJson.fill(root.putObject("setup"), run.setup());
        return root.toString();
    }

    private static void putMeasured(ObjectNode root, String name, double value) {
        if (!Double.isNaN(value)) {
            root.put(name, value);
        }
    }

    /** @throws BadFileException naming what is wrong in the document */
    public static RunRecord parse(String id, String json) throws BadFileException {
        try {
            Fields root = Fields.parse(json);
            RunRecord.Outcome outcome = new RunRecord.Outcome(
                    root.truth("completed"), root.number("timeS", Double.NaN), root.number("rmsMm", Double.NaN));
            return new RunRecord(
                    id,
                    CaptureJson.instant(root),
                    root.oneOf("source", RunRecord.Source.values(), RunRecord.Source::word),
                    root.text("course"),
                    SetupJson.in(root.object("setup")),
                    outcome,
                    root.text("note"));
        } catch (BadValueException refused) {
            throw new BadFileException("run " + id + ": " + refused.getMessage(), refused);
        }
    }
}
