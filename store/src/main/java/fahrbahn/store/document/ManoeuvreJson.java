package fahrbahn.store.document;

import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.detour.Approach;
import fahrbahn.core.detour.Task;
import fahrbahn.core.stopping.Rule;
import fahrbahn.core.stopping.Sensing;
import fahrbahn.core.stopping.StopPlan;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.Documents;
import fahrbahn.store.json.Fields;
import java.util.Optional;

/** Where a robot is to stop, and how it is to go round an obstacle, as documents. */
final class ManoeuvreJson {
    private ManoeuvreJson() {}

    static String write(StopPlan plan) {
        Sensing sensing = plan.sensing();
        return Fields.JSON
                .createObjectNode()
                .put("wayMm", sensing.wayMm())
                .put("wheelStepMm", sensing.wheelStepMm())
                .put("markNoiseMm", sensing.markNoiseMm())
                .put("distanceNoiseMm", sensing.distanceNoiseMm())
                .put("missShare", sensing.missShare())
                .put("windowMm", plan.windowMm())
                .put("rule", plan.rule().word())
                .toString();
    }

    /** @throws BadFileException naming what is wrong in the document */
    static StopPlan parseStop(String json) throws BadFileException {
        return Documents.parse(
                json,
                root -> new StopPlan(
                        new Sensing(
                                root.number("wayMm"),
                                root.number("wheelStepMm"),
                                root.number("markNoiseMm"),
                                root.number("distanceNoiseMm"),
                                root.number("missShare")),
                        root.number("windowMm"),
                        root.oneOf("rule", Rule.values(), Rule::word, Rule.TIMER)));
    }

    static String write(Task task) {
        ObjectNode root = Fields.JSON.createObjectNode();
        root.put("obstacleRadiusMm", task.obstacleRadiusMm())
                .put("clearanceMm", task.clearanceMm())
                .put("frontMm", task.frontMm())
                .put("widthMm", task.widthMm());
        task.turnRad().ifPresent(turn -> root.put("turnDeg", Math.toDegrees(turn)));
        root.putObject("touch")
                .put("backMm", task.touch().backMm())
                .put("missShare", task.touch().missShare());
        root.putObject("distance")
                .put("atMm", task.distance().atMm())
                .put("noiseMm", task.distance().noiseMm())
                .put("missShare", task.distance().missShare());
        return root.toString();
    }

    /** @throws BadFileException naming what is wrong in the document */
    static Task parseDetour(String json) throws BadFileException {
        return Documents.parse(json, root -> {
            Fields touch = root.object("touch");
            Fields distance = root.object("distance");
            return new Task(
                    root.number("obstacleRadiusMm"),
                    root.number("clearanceMm"),
                    root.number("frontMm"),
                    root.number("widthMm"),
                    new Approach.Touch(touch.number("backMm"), touch.number("missShare")),
                    new Approach.Distance(
                            distance.number("atMm"), distance.number("noiseMm"), distance.number("missShare")),
                    root.has("turnDeg") ? Optional.of(Math.toRadians(root.number("turnDeg"))) : Optional.empty());
        });
    }
}
