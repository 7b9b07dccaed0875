package fahrbahn.headless;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.benchmark.TuningBenchmark;
import fahrbahn.core.check.Check;
import fahrbahn.core.job.Workers;
import fahrbahn.headless.kit.Json;
import fahrbahn.headless.kit.JsonCommand;
import fahrbahn.headless.kit.SeedOption;
import fahrbahn.store.file.BadFileException;
import java.util.List;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(name = "tuning-benchmark", description = "Trials that ways of tuning need on hidden robots.")
final class TuningBenchmarkCommand extends JsonCommand {
    private static final int MOST_ROBOTS = 10_000;

    /** How much further than usual the robots' secrets lie from what their coaches believe. */
    private static final double WIDER = 1.5;

    @Option(names = "--robots", paramLabel = "N", defaultValue = "40", description = "how many (40)")
    private int robots;

    @Mixin
    private SeedOption seed;

    @Override
    protected ObjectNode answer() throws BadFileException {
        Check.between("--robots", robots, 1, MOST_ROBOTS);
        List<TuningBenchmark.Outcome> outcomes =
                TuningBenchmark.run(robots, WIDER, seed.seed(), Workers.all(), progress());
        ObjectNode json = Json.object().put("robots", robots).put("mostTrials", TuningBenchmark.MOST_TRIALS);
        ArrayNode ways = json.putArray("ways");
        for (TuningBenchmark.Outcome outcome : outcomes) {
            ways.addObject()
                    .put("way", outcome.way())
                    .put("lowerQuartile", outcome.quantile(0.25))
                    .put("median", outcome.quantile(0.5))
                    .put("upperQuartile", outcome.quantile(0.75))
                    .put("unsolved", outcome.unsolved())
                    .put("of", outcome.trials().length);
        }
        return json;
    }
}
