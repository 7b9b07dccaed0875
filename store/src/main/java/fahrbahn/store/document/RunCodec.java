package fahrbahn.store.document;

import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.TablePrint;
import fahrbahn.core.season.Hand;
import fahrbahn.core.trials.Outcome;
import fahrbahn.core.trials.PartOf;
import fahrbahn.core.trials.Run;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.Fields;
import fahrbahn.store.json.SetupJson;
import fahrbahn.store.json.Shared;
import java.util.Optional;

/** A logged run as a document; a figure nobody measured is left out. Older ones carry their whole setup and a course's name. */
public final class RunCodec implements Codec<Run> {
    @Override
    public String write(Run run, Shared shared) {
        ObjectNode root = Fields.JSON
                .createObjectNode()
                .put("source", run.source().word())
                .put("robot", run.robot())
                .put("completed", run.outcome().completed())
                .put("note", run.note());
        run.photo().ifPresent(photo -> root.put("photo", photo));
        run.partOf().ifPresent(part -> root.put("partOf", part.word()));
        putMeasured(root, "timeS", run.outcome().timeS());
        putMeasured(root, "rmsMm", run.outcome().rmsMm());
        putMeasured(root, "alongMm", run.outcome().stop().alongMm());
        putMeasured(root, "acrossMm", run.outcome().stop().acrossMm());
        putMeasured(root, "lostMm", run.outcome().lostMm());
        run.outcome().seen().ifPresent(seen -> root.put("seen", seen.word()));
        run.outcome().wiggles().ifPresent(w -> root.put("wiggles", w.count()).put("wigglesS", w.overS()));
        BasisCodec.fill(root, run.basis(), shared);
        return root.toString();
    }

    private static void putMeasured(ObjectNode root, String name, double value) {
        if (!Double.isNaN(value)) {
            root.put(name, value);
        }
    }

    @Override
    public Run read(String id, String json, Shared shared) throws BadFileException {
        try {
            Fields root = Fields.parse(json);
            Outcome outcome = Outcome.of(root.truth("completed"), root.number("timeS", Double.NaN))
                    .withRmsMm(root.number("rmsMm", Double.NaN))
                    .withStop(root.number("alongMm", Double.NaN), root.number("acrossMm", Double.NaN))
                    .withLostMm(root.number("lostMm", Double.NaN));
            if (root.has("seen")) {
                outcome = outcome.withSeen(root.oneOf("seen", Outcome.Seen.values(), Outcome.Seen::word));
            }
            if (root.has("wiggles")) {
                outcome =
                        outcome.withWiggles(new Outcome.Wiggles((int) root.number("wiggles"), root.number("wigglesS")));
            }
            return new Run(
                    id,
                    root.oneOf("source", Run.Source.values(), Run.Source::word),
                    root.text("robot", Hand.ONLY),
                    basis(root, shared),
                    outcome,
                    root.text("note"),
                    root.has("photo") ? Optional.of(root.text("photo")) : Optional.empty(),
                    root.has("partOf") ? Optional.of(PartOf.of(root.text("partOf"))) : Optional.empty());
        } catch (BadValueException refused) {
            throw new BadFileException("run " + id + ": " + refused.getMessage(), refused);
        }
    }

    private static Basis basis(Fields root, Shared shared) {
        Basis basis = BasisCodec.in(root, shared);
        if (root.has("setup")) {
            basis = basis.withSetting(shared.keep(Shared.setting(SetupJson.in(root.object("setup")))));
        }
        return root.has("course") ? basis.withTable(new TablePrint("", root.text("course"), "")) : basis;
    }
}
