package fahrbahn.core.review;

import fahrbahn.core.job.CancelledException;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.statistics.Sample;
import fahrbahn.core.trace.TickSink;
import fahrbahn.core.twin.Ensemble;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/**
 * Two robots or settings on the same table from the same starts, in the same light, with batteries alike: pair by pair, so that what they
 * share does not blur how they differ. Figures of time, smoothness and stop place are of the pairs in which both completed.
 *
 * @param table on which both drove
 * @param chance to complete
 * @param timeS of completed runs
 * @param rmsMm distance from the path it should ride
 * @param reversalsPerM changes of steering side
 * @param pathCrossingsPerM how often it goes over the path it should ride
 * @param travelPerM way of the steering command, in full commands
 * @param stop where it comes to rest
 */
public record TwoOnOneTable(
        Ensemble a,
        Ensemble b,
        String table,
        Difference chance,
        Difference timeS,
        Difference rmsMm,
        Difference reversalsPerM,
        Difference pathCrossingsPerM,
        Difference travelPerM,
        Stop stop) {
    /**
     * Where it comes to rest.
     *
     * @param alongMm beyond the finish
     * @param scatterMm how far from the middle of its own stop places, along: the robust spread of Brown and Forsythe
     */
    public record Stop(Difference alongMm, Difference scatterMm) {}

    /**
     * Drives both.
     *
     * @param a with its setup on the table
     * @param b the other's on the same table
     * @param pairs of runs, 1 to {@link Ensemble#MOST_RUNS}
     * @param seed the same seed gives the same starts on any number of threads
     * @throws CancelledException when the job asked to stop before a pair was done; pairs that are done are kept
     */
    public static TwoOnOneTable drive(Track a, Track b, Spread spread, int pairs, long seed, Workers workers, Job job) {
        return drive(
                a.ground().name(),
                start -> Twin.run(a, start, TickSink.NONE),
                start -> Twin.run(b, start, TickSink.NONE),
                spread,
                pairs,
                seed,
                workers,
                job);
    }

    /** The same robot on the same table by its own program, and by another; see {@link Twin#asProgrammed}. */
    public static TwoOnOneTable programmed(
            Track track, Setup program, Spread spread, int pairs, long seed, Workers workers, Job job) {
        return drive(
                track.ground().name(),
                start -> Twin.run(track, start, TickSink.NONE),
                start -> Twin.asProgrammed(track, program, start, TickSink.NONE),
                spread,
                pairs,
                seed,
                workers,
                job);
    }

    private static TwoOnOneTable drive(
            String table,
            Function<Start, RunResult> a,
            Function<Start, RunResult> b,
            Spread spread,
            int pairs,
            long seed,
            Workers workers,
            Job job) {
        RunResult[] ofA = new RunResult[pairs];
        RunResult[] ofB = new RunResult[pairs];
        try {
            workers.run(
                    pairs,
                    i -> {
                        Start start = spread.draw(0, seed, i);
                        RunResult first = a.apply(start);
                        ofB[i] = b.apply(start);
                        ofA[i] = first;
                    },
                    job);
        } catch (CancelledException stopped) {
            // What is done is kept.
        }
        List<Start> starts = new ArrayList<>();
        List<RunResult> doneA = new ArrayList<>();
        List<RunResult> doneB = new ArrayList<>();
        for (int i = 0; i < pairs; i++) {
            if (ofA[i] != null) {
                starts.add(spread.draw(0, seed, i));
                doneA.add(ofA[i]);
                doneB.add(ofB[i]);
            }
        }
        if (starts.isEmpty()) {
            throw new CancelledException();
        }
        return of(table, new Ensemble(starts, doneA), new Ensemble(starts, doneB));
    }

    /** Of runs that were driven from the same starts in the same order. */
    static TwoOnOneTable of(String table, Ensemble a, Ensemble b) {
        int n = a.results().size();
        boolean[] completedA = new boolean[n];
        boolean[] completedB = new boolean[n];
        List<RunResult> bothA = new ArrayList<>();
        List<RunResult> bothB = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            completedA[i] = a.results().get(i).completed();
            completedB[i] = b.results().get(i).completed();
            if (completedA[i] && completedB[i]) {
                bothA.add(a.results().get(i));
                bothB.add(b.results().get(i));
            }
        }
        return new TwoOnOneTable(
                a,
                b,
                table,
                Difference.ofChances(completedA, completedB),
                means(bothA, bothB, RunResult::timeS),
                means(bothA, bothB, RunResult::rmsMm),
                means(bothA, bothB, r -> r.ride().reversalsPerM()),
                means(bothA, bothB, r -> r.ride().pathCrossingsPerM()),
                means(bothA, bothB, r -> r.ride().travelPerM()),
                new Stop(
                        means(bothA, bothB, RunResult::stopAlongMm),
                        Difference.ofMeans(fromMiddle(bothA), fromMiddle(bothB))));
    }

    private static Difference means(List<RunResult> a, List<RunResult> b, ToDoubleFunction<RunResult> figure) {
        return Difference.ofMeans(
                a.stream().mapToDouble(figure).toArray(),
                b.stream().mapToDouble(figure).toArray());
    }

    private static double[] fromMiddle(List<RunResult> runs) {
        double[] places = runs.stream().mapToDouble(RunResult::stopAlongMm).toArray();
        double middle = places.length == 0 ? 0 : Sample.of(places).median();
        return Arrays.stream(places).map(place -> Math.abs(place - middle)).toArray();
    }
}
