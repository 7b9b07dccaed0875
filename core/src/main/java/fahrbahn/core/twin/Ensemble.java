package fahrbahn.core.twin;

import fahrbahn.core.check.Check;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.statistics.Completion;
import fahrbahn.core.trace.TickSink;
import java.util.Arrays;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * Many runs of one setup on one track, each with its own noise and its own conditions. Keeps the figures of the runs, not their
 * traces; a single run can be driven again with a trace by its start.
 *
 * @param starts how each run began, in the order of the runs
 * @param results figures of the runs, in the same order
 */
public record Ensemble(List<Start> starts, List<RunResult> results) {
    /** More would fill the memory with results before anyone could read them. */
    public static final int MOST_RUNS = 100_000;

    public Ensemble {
        starts = List.copyOf(starts);
        results = List.copyOf(results);
    }

    /**
     * @param offsetMm place about which the starts are spread
     * @param runs 1 to {@link #MOST_RUNS}
     * @param seed the same seed gives the same runs on any number of threads
     */
    public static Ensemble drive(
            Track track, Spread spread, double offsetMm, int runs, long seed, Workers workers, Job job) {
        Check.between("runs", runs, 1, MOST_RUNS);
        Workload.check(track, runs);
        Start[] starts = new Start[runs];
        for (int i = 0; i < runs; i++) {
            starts[i] = spread.draw(offsetMm, seed, i);
        }
        return drive(track, List.of(starts), workers, job);
    }

    /** The runs with these starts. */
    public static Ensemble drive(Track track, List<Start> starts, Workers workers, Job job) {
        Workload.check(track, starts.size());
        RunResult[] results = new RunResult[starts.size()];
        workers.run(results.length, i -> results[i] = Twin.run(track, starts.get(i), TickSink.NONE), job);
        return new Ensemble(starts, Arrays.asList(results));
    }

    public Completion completion() {
        int completed = (int) results.stream().filter(RunResult::completed).count();
        return Completion.of(completed, results.size());
    }

    /** A figure of each completed run, in the order of the runs. */
    public double[] ofCompleted(ToDoubleFunction<RunResult> figure) {
        return results.stream().filter(RunResult::completed).mapToDouble(figure).toArray();
    }
}
