package fahrbahn.core.review;

import fahrbahn.core.check.Check;
import fahrbahn.core.job.CancelledException;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.twin.Ensemble;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.ArrayList;
import java.util.List;

/**
 * Many runs of one setup on one track: their figures, where they went, and of the lost ones why. Work that is stopped keeps the runs that
 * were done.
 *
 * @param track they were driven on
 * @param asked how many were asked for
 * @param runs those done, in the order of their numbers
 * @param reasons how many of the lost ones looked at were lost for each reason, the commonest first; not of all where there are many
 */
public record ManyRuns(Track track, int asked, Ensemble runs, PathDensity density, List<Reason> reasons) {
    /** So many lost runs are driven again to see why: enough to know the commonest reason. */
    private static final int MOST_LOOKED_AT = 60;

    /** One sort of reason. @param example the first loss of that sort @param run its number among the runs */
    public record Reason(Class<? extends Why> sort, int count, Loss example, int run) {}

    public ManyRuns {
        reasons = List.copyOf(reasons);
    }

    /**
     * Drives them.
     *
     * @param runs 1 to {@link Ensemble#MOST_RUNS}
     * @param seed the same seed gives the same runs on any number of threads
     * @throws CancelledException when the job asked to stop before a single run was done
     */
    public static ManyRuns drive(Track track, Spread spread, int runs, long seed, Workers workers, Job job) {
        Check.between("runs", runs, 1, Ensemble.MOST_RUNS);
        PathDensity density = new PathDensity(track.ground(), track.setup());
        Start[] starts = new Start[runs];
        for (int i = 0; i < runs; i++) {
            starts[i] = spread.draw(0, seed, i);
        }
        RunResult[] results = new RunResult[runs];
        try {
            workers.run(runs, i -> results[i] = Twin.run(track, starts[i], density.sink()), job);
        } catch (CancelledException stopped) {
            // What is done is kept.
        }
        List<Start> done = new ArrayList<>();
        List<RunResult> theirs = new ArrayList<>();
        for (int i = 0; i < runs; i++) {
            if (results[i] != null) {
                done.add(starts[i]);
                theirs.add(results[i]);
            }
        }
        if (done.isEmpty()) {
            throw new CancelledException();
        }
        Ensemble ensemble = new Ensemble(done, theirs);
        return new ManyRuns(track, runs, ensemble, density, reasons(track, ensemble, workers));
    }

    /** Numbers of the lost ones, the first first. */
    public List<Integer> lost() {
        List<Integer> lost = new ArrayList<>();
        for (int i = 0; i < runs.results().size(); i++) {
            if (!runs.results().get(i).completed()) {
                lost.add(i);
            }
        }
        return lost;
    }

    private static List<Reason> reasons(Track track, Ensemble runs, Workers workers) {
        List<Integer> lost = new ArrayList<>();
        for (int i = 0; i < runs.results().size() && lost.size() < MOST_LOOKED_AT; i++) {
            if (!runs.results().get(i).completed()) {
                lost.add(i);
            }
        }
        Loss[] losses = new Loss[lost.size()];
        workers.run(
                losses.length,
                i -> {
                    Trace trace = new Trace();
                    Start start = runs.starts().get(lost.get(i));
                    RunResult result = Twin.run(track, start, trace);
                    losses[i] = Loss.of(track, start, result, trace).orElseThrow();
                },
                Job.UNWATCHED);
        List<Reason> reasons = new ArrayList<>();
        for (int i = 0; i < losses.length; i++) {
            Class<? extends Why> sort = losses[i].why().getClass();
            int at = indexOf(reasons, sort);
            if (at < 0) {
                reasons.add(new Reason(sort, 1, losses[i], lost.get(i)));
            } else {
                Reason known = reasons.get(at);
                reasons.set(at, new Reason(sort, known.count() + 1, known.example(), known.run()));
            }
        }
        reasons.sort((a, b) -> Integer.compare(b.count(), a.count()));
        return reasons;
    }

    private static int indexOf(List<Reason> reasons, Class<? extends Why> sort) {
        for (int i = 0; i < reasons.size(); i++) {
            if (reasons.get(i).sort() == sort) {
                return i;
            }
        }
        return -1;
    }
}
