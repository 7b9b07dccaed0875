package fahrbahn.store.document;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.plan.Asked;
import fahrbahn.core.plan.Block;
import fahrbahn.core.plan.Block.What;
import fahrbahn.core.plan.PlanRequest;
import fahrbahn.core.plan.PlanRequest.Team;
import fahrbahn.core.plan.Schedule;
import fahrbahn.core.plan.Stage;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.Documents;
import fahrbahn.store.json.Fields;
import fahrbahn.store.json.PlanJson;
import java.time.Instant;
import java.time.format.DateTimeParseException;

/** A plan on its way as a document: its request as {@link PlanJson} reads one, and what has been done. */
public final class ScheduleJson {
    private ScheduleJson() {}

    static String write(Schedule schedule) {
        PlanRequest request = schedule.request();
        ObjectNode root = Fields.JSON.createObjectNode().put("minutes", request.minutes());
        ArrayNode tables = root.putArray("tables");
        request.tables().forEach(tables::add);
        ArrayNode teams = root.putArray("teams");
        request.teams().forEach(team -> fill(teams.addObject(), team));
        ArrayNode lamps = root.putArray("lampChangesS");
        request.calibrateAtS().forEach(lamps::add);
        root.put("calibrateS", request.calibrateS())
                .put("begins", schedule.begins().toString())
                .put("seed", schedule.seed())
                .put("fromS", schedule.fromS());
        ArrayNode done = root.putArray("done");
        schedule.done().forEach(block -> fill(done.addObject(), block));
        return root.toString();
    }

    private static void fill(ObjectNode json, Team team) {
        json.put("name", team.name())
                .put("lapS", team.lapS())
                .put("resetS", team.resetS())
                .put("checkS", team.checkS())
                .put("batteryRuns", team.batteryRuns())
                .put("swapS", team.swapS());
        ArrayNode stages = json.putArray("stages");
        for (Stage stage : team.stages()) {
            ObjectNode one = stages.addObject().put("what", stage.what().word()).put("runsEach", stage.runsEach());
            ArrayNode pairs = one.putArray("pairs");
            stage.pairs()
                    .forEach(p ->
                            asked(pairs.addObject().put("robot", p.robot()).put("setting", p.setting()), p.asked()));
        }
    }

    private static void asked(ObjectNode json, Asked asked) {
        put(json, "kp", asked.kp());
        put(json, "ki", asked.ki());
        put(json, "kd", asked.kd());
        put(json, "baseCommand", asked.baseCommand());
    }

    private static void put(ObjectNode json, String field, double number) {
        if (!Double.isNaN(number)) {
            json.put(field, number);
        }
    }

    private static void fill(ObjectNode json, Block block) {
        json.put("startS", block.startS())
                .put("endS", block.endS())
                .put("table", block.table())
                .put("team", block.team())
                .put("robot", block.robot())
                .put("what", block.what().word())
                .put("setting", block.setting());
    }

    /** @throws BadFileException naming what is wrong in the document */
    static Schedule parse(String json) throws BadFileException {
        return Documents.parse(
                json,
                root -> new Schedule(
                        PlanJson.request(root),
                        instant(root),
                        (long) root.number("seed"),
                        root.objects("done").stream().map(ScheduleJson::block).toList(),
                        root.number("fromS")));
    }

    private static Instant instant(Fields root) {
        try {
            return Instant.parse(root.text("begins"));
        } catch (DateTimeParseException none) {
            throw new BadValueException("begins", "\"" + root.text("begins") + "\"", "a moment");
        }
    }

    private static Block block(Fields json) {
        return new Block(
                json.number("startS"),
                json.number("endS"),
                json.text("table"),
                json.text("team"),
                json.text("robot"),
                json.oneOf("what", What.values(), What::word),
                json.text("setting"));
    }
}
