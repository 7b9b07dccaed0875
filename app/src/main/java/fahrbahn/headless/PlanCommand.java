package fahrbahn.headless;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.plan.Block;
import fahrbahn.core.plan.LeftOut;
import fahrbahn.core.plan.Plan;
import fahrbahn.core.plan.PlanRequest;
import fahrbahn.headless.kit.Json;
import fahrbahn.store.exchange.PlanCalendar;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.Export;
import fahrbahn.store.json.PlanJson;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(name = "plan", description = "Trials that fit the time left: balanced, in a drawn order, without a clash.")
final class PlanCommand implements Callable<Integer> {
    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "PLAN.json")
    private Path planFile;

    @Option(names = "--seed", paramLabel = "S", defaultValue = "1", description = "of the drawn orders (1)")
    private long seed;

    @Option(names = "--ics", paramLabel = "FILE", description = "the blocks as appointments too")
    private Path calendarFile;

    @Option(names = "--begin", paramLabel = "TIME", description = "when it begins, 2031-05-04T09:30, local (now)")
    private String begin;

    @Override
    public Integer call() throws BadFileException {
        if (calendarFile != null) {
            Export.notOver(planFile, "--ics", calendarFile);
        }
        PlanRequest request = PlanJson.read(planFile);
        Instant begins = begins();
        Plan plan = Plan.of(request, seed);
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
        Json.print(spec, json);
        return 0;
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
