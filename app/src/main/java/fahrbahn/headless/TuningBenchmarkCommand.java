package fahrbahn.headless;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.benchmark.TuningBenchmark;
import fahrbahn.core.check.Check;
import fahrbahn.core.job.Workers;
import fahrbahn.headless.kit.Json;
import fahrbahn.headless.kit.Progress;
import fahrbahn.store.file.BadFileException;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(name = "tuning-benchmark", description = "Trials that ways of tuning need on hidden robots.")
final class TuningBenchmarkCommand implements Callable<Integer> {
    private static final int MOST_ROBOTS = 10_000;

    /** How much further than usual the robots' secrets lie from what their coaches believe. */
    private static final double WIDER = 1.5;

    @Spec
    private CommandSpec spec;

    @Option(names = "--robots", paramLabel = "N", defaultValue = "40", description = "how many (40)")
    private int robots;

    @Option(names = "--seed", paramLabel = "S", defaultValue = "1", description = "of the robots (1)")
    private long seed;

    @Override
    public Integer call() throws BadFileException {
        Check.between("--robots", robots, 1, MOST_ROBOTS);
        List<TuningBenchmark.Outcome> outcomes = TuningBenchmark.run(
                robots,
                WIDER,
                seed,
                Workers.all(),
                new Progress(spec.commandLine().getErr(), System::nanoTime));
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
        Json.print(spec, json);
        return 0;
    }
}
