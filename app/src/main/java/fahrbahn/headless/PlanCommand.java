package fahrbahn.headless;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.plan.Block;
import fahrbahn.core.plan.LeftOut;
import fahrbahn.core.plan.Plan;
import fahrbahn.core.plan.PlanRequest;
import fahrbahn.headless.kit.Json;
import fahrbahn.headless.kit.JsonCommand;
import fahrbahn.headless.kit.SeedOption;
import fahrbahn.store.exchange.PlanCalendar;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.Export;
import fahrbahn.store.json.PlanJson;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

@Command(name = "plan", description = "Trials that fit the time left: balanced, in a drawn order, without a clash.")
final class PlanCommand extends JsonCommand {
    @Parameters(paramLabel = "PLAN.json")
    private Path planFile;

    @Mixin
    private SeedOption seed;

    @Option(names = "--ics", paramLabel = "FILE", description = "the blocks as appointments too")
    private Path calendarFile;

    @Option(names = "--begin", paramLabel = "TIME", description = "when it begins, 2031-05-04T09:30, local (now)")
    private String begin;

    @Override
    protected ObjectNode answer() throws BadFileException {
        if (calendarFile != null) {
            Export.notOver(planFile, "--ics", calendarFile);
        }
        PlanRequest request = PlanJson.read(planFile);
        Instant begins = begins();
        Plan plan = Plan.of(request, seed.seed());
        ObjectNode json = Json.object();
        ArrayNode blocks = json.putArray("blocks");
        for (Block block : plan.blocks()) {
            ObjectNode each = blocks.addObject();
            Json.put(each, "startS", block.startS());
            Json.put(each, "endS", block.endS());
            each.put("table", block.table())
                    .put("team", block.team())
                    .put("robot", block.robot())
                    .put("what", block.what().word())
                    .put("setting", block.setting());
        }
        ArrayNode leftOut = json.putArray("leftOut");
        for (LeftOut left : plan.leftOut()) {
            leftOut.addObject()
                    .put("team", left.team())
                    .put("robot", left.robot())
                    .put("setting", left.setting())
                    .put("planned", left.planned())
                    .put("asked", left.asked())
                    .put("reason", left.reason());
        }
        if (calendarFile != null) {
            PlanCalendar.write(calendarFile, plan, begins);
        }
        return json;
    }

    private Instant begins() {
        if (begin == null) {
            return Instant.now();
        }
        try {
            return LocalDateTime.parse(begin).atZone(ZoneId.systemDefault()).toInstant();
        } catch (DateTimeParseException notATime) {
            throw new BadValueException("--begin", "\"" + begin + "\"", "a day and a time, as 2031-05-04T09:30");
        }
    }
}
