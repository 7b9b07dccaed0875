package fahrbahn.headless;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.check.Check;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trials.Completion;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.TickSink;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import fahrbahn.store.BadFileException;
import fahrbahn.store.SetupJson;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(name = "drive", description = "Runs the twin.")
final class DriveCommand implements Callable<Integer> {
    /** More would fill the memory with results before anyone could read them. */
    private static final int MOST_RUNS = 100_000;

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "SETUP.json")
    private Path setupFile;

    @Option(
            names = "--straight",
            paramLabel = "MM",
            required = true,
            description = "drive this far along a straight line")
    private double straightMm;

    @Option(
            names = "--offset",
            paramLabel = "MM",
            defaultValue = "2",
            description = "start this far from the path (2 mm)")
    private double offsetMm;

    @Option(
            names = "--runs",
            paramLabel = "N",
            defaultValue = "1",
            description = "number of runs, seeds counting up (1)")
    private int runs;

    @Option(names = "--seed", paramLabel = "S", defaultValue = "1", description = "seed of the first run's noise (1)")
    private long seed;

    @Option(names = "--calm", description = "no noise, no rounding, no variation")
    private boolean calm;

    @Override
    public Integer call() throws BadFileException {
        Check.between("--runs", runs, 1, MOST_RUNS);
        Setup setup = SetupJson.read(setupFile);
        Twin twin = new Twin(Track.straight(straightMm, setup));
        ObjectNode answer = Json.object();
        ArrayNode all = answer.putArray("runs");
        int completed = 0;
        for (int i = 0; i < runs; i++) {
            RunResult result = twin.run(new Start(offsetMm, calm, seed + i), TickSink.NONE);
            completed += result.completed() ? 1 : 0;
            all.add(run(result));
        }
        if (runs > 1) {
            Completion completion = Completion.of(completed, runs);
            answer.putObject("summary")
                    .put("runs", runs)
                    .put("completed", completed)
                    .put("completionLow", completion.low())
                    .put("completionHigh", completion.high());
        }
        spec.commandLine().getOut().println(answer.toPrettyString());
        return 0;
    }

    private static ObjectNode run(RunResult result) {
        ObjectNode json = Json.object()
                .put("completed", result.completed())
                .put("timeS", result.timeS())
                .put("rmsMm", result.rmsMm())
                .put("peakMm", result.peakMm());
        Json.put(json, "wigglePeriodS", result.wigglePeriodS());
        return json.put("reversalsPerM", result.reversalsPerM());
    }
}
