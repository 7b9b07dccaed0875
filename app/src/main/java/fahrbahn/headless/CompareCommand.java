package fahrbahn.headless;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.check.Check;
import fahrbahn.core.difference.Cause;
import fahrbahn.core.difference.SetupDifference;
import fahrbahn.core.job.Workers;
import fahrbahn.core.review.CompareWords;
import fahrbahn.core.review.Difference;
import fahrbahn.core.review.TwoOnOneTable;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.twin.Ensemble;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Track;
import fahrbahn.headless.kit.CourseOption;
import fahrbahn.headless.kit.Json;
import fahrbahn.headless.kit.JsonCommand;
import fahrbahn.headless.kit.SeedOption;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.SetupJson;
import java.nio.file.Path;
import java.util.List;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

@Command(name = "compare", description = "Two robots or settings from the same starts.")
final class CompareCommand extends JsonCommand {
    @Parameters(index = "0", paramLabel = "A.setup.json")
    private Path first;

    @Parameters(index = "1", paramLabel = "B.setup.json")
    private Path second;

    @Mixin
    private CourseOption course;

    @Option(names = "--runs", paramLabel = "N", defaultValue = "200", description = "of each (200)")
    private int runs;

    @Mixin
    private SeedOption seed;

    @Override
    protected ObjectNode answer() throws BadFileException {
        Check.between("--runs", runs, 1, Ensemble.MOST_RUNS);
        Setup a = SetupJson.read(first);
        Setup b = SetupJson.read(second);
        Course table = course.read();
        TwoOnOneTable both = TwoOnOneTable.drive(
                Track.of(table, a), Track.of(table, b), Spread.TYPICAL, runs, seed.seed(), Workers.all(), progress());
        ObjectNode json = Json.object();
        json.put("runs", runs);
        json.set("a", Json.of(both.a().completion(), "runs"));
        json.set("b", Json.of(both.b().completion(), "runs"));
        put(json, "chance", both.chance());
        put(json, "timeS", both.timeS());
        put(json, "rmsMm", both.rmsMm());
        put(json, "reversalsPerM", both.reversalsPerM());
        put(json, "pathCrossingsPerM", both.pathCrossingsPerM());
        put(json, "travelPerM", both.travelPerM());
        put(json, "stopAlongMm", both.stop().alongMm());
        put(json, "stopScatterMm", both.stop().scatterMm());
        List<Cause> causes = SetupDifference.between(a, b);
        ArrayNode differs = json.putArray("differs");
        causes.forEach(cause -> differs.add(CompareWords.setting(cause)));
        json.put("sentence", CompareWords.sentence(both, "A", "B") + " " + CompareWords.differs(causes));
        return json;
    }

    private static void put(ObjectNode json, String name, Difference difference) {
        ObjectNode one = json.putObject(name);
        Json.put(one, "a", difference.a());
        Json.put(one, "b", difference.b());
        Json.put(one, "difference", difference.size());
        Json.put(one, "low", difference.low());
        Json.put(one, "high", difference.high());
        one.put("pairs", difference.pairs()).put("shown", difference.shown());
    }
}
