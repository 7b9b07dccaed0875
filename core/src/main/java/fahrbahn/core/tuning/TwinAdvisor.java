package fahrbahn.core.tuning;

import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.loop.BendFloor;
import fahrbahn.core.loop.GainAdvice;
import fahrbahn.core.loop.GainAdvisor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.tuning.TestBend.Tried;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Predicate;

/**
 * Recommends gains: loop theory proposes pairs all over what keeps the margins, the twin drives them on the tightest bend with battery,
 * lag, grip, light and start varied, and of those that come round it keeps nearest to its path that is taken. Few runs tell most pairs
 * apart, so all are driven a little, the better ones more, and the best are looked around. Where no pair that keeps the margins comes round,
 * pairs without them are tried: what the twin can drive is said, with its margins as they are.
 */
public final class TwinAdvisor {
    /** Below this share of runs that come round nothing is recommended. */
    public static final double LEAST_SHARE = 0.965;

    /** From this share on pairs count as equally sure, and the nearer to its path is the better. */
    private static final double SURE_SHARE = 0.985;

    /** What a missing run in a hundred weighs against the distance from the path. */
    private static final double LOST_WEIGHT = 25;

    private static final int STEPS_PER_RATIO = 9;
    private static final int FIRST_RUNS = 10;
    private static final int SECOND_RUNS = 40;
    private static final int LAST_RUNS = 250;
    private static final int SECOND_PAIRS = 30;
    private static final int AROUND_PAIRS = 4;
    private static final int LAST_PAIRS = 5;

    /** Steps with which the best pairs are looked around. */
    private static final double[] KP_STEPS = {0.87, 1, 1.15};

    private static final double[] KD_STEPS = {0.8, 1, 1.25};

    private static final double[] WIDE_KD_PER_KP = {0, 1, 2, 3, 5, 8, 12, 20, 30};
    private static final int WIDE_STEPS = 16;
    private static final double WIDE_FROM = 0.5;
    private static final double WIDE_SPAN = 40;

    private final Setup setup;
    private final TestBend bend;
    private final long seed;
    private final Workers workers;
    private final Job job;
    private final int allRuns;
    private int runsDone;

    private record Pair(double kp, double kd, Tried tried) {
        /** Less is better. */
        double cost() {
            double rms = tried.completed() == 0 ? 1e6 : tried.rmsMm();
            return rms * (1 + LOST_WEIGHT * Math.max(0, SURE_SHARE - tried.share()));
        }
    }

    private TwinAdvisor(Setup setup, long seed, Workers workers, Job job, int proposed) {
        this.setup = setup;
        this.bend = TestBend.of(setup);
        this.seed = seed;
        this.workers = workers;
        this.job = job;
        this.allRuns = proposed * FIRST_RUNS
                + SECOND_PAIRS * SECOND_RUNS
                + AROUND_PAIRS * KP_STEPS.length * KD_STEPS.length * SECOND_RUNS
                + LAST_PAIRS * LAST_RUNS;
    }

    /**
     * @param seed of the varied runs; the same seed gives the same advice on any number of threads
     * @return empty when no pair of gains comes round often enough
     * @throws fahrbahn.core.job.CancelledException when the job asked to stop
     */
    public static Optional<TwinAdvice> advise(Setup setup, long seed, Workers workers, Job job) {
        List<GainAdvice> proposals = GainAdvisor.proposals(setup, STEPS_PER_RATIO);
        BiFunction<Double, Double, GainAdvice> judge = GainAdvisor.judging(setup);
        if (!proposals.isEmpty()) {
            TwinAdvisor within = new TwinAdvisor(setup, seed, workers, job, proposals.size());
            List<Pair> pairs = proposals.stream()
                    .map(p -> new Pair(p.kp(), p.kd(), new Tried(0, 0, 0)))
                    .toList();
            Optional<TwinAdvice> advice = within.best(pairs, judge, GainAdvice::keepsMargins);
            if (advice.isPresent()) {
                return advice;
            }
        }
        List<Pair> wide = wide(setup);
        return new TwinAdvisor(setup, seed, workers, job, wide.size()).best(wide, judge, any -> true);
    }

    /** Pairs that keep no margins. */
    private static List<Pair> wide(Setup setup) {
        double floor = BendFloor.kp(setup);
        double from = Double.isFinite(floor)
                ? WIDE_FROM * floor
                : WIDE_FROM * setup.law().baseCommand() / 100;
        List<Pair> pairs = new ArrayList<>();
        for (double ratio : WIDE_KD_PER_KP) {
            for (int i = 0; i < WIDE_STEPS; i++) {
                double kp = from * Math.pow(WIDE_SPAN, i / (WIDE_STEPS - 1.0));
                pairs.add(new Pair(kp, ratio * kp, new Tried(0, 0, 0)));
            }
        }
        return pairs;
    }

    private Optional<TwinAdvice> best(
            List<Pair> all, BiFunction<Double, Double, GainAdvice> judge, Predicate<GainAdvice> allowed) {
        List<Pair> pairs = better(driven(all, FIRST_RUNS), SECOND_PAIRS);
        pairs = better(driven(pairs, SECOND_RUNS), LAST_PAIRS);
        List<Pair> around = new ArrayList<>();
        for (Pair pair : pairs.subList(0, Math.min(AROUND_PAIRS, pairs.size()))) {
            for (double kpStep : KP_STEPS) {
                for (double kdStep : KD_STEPS) {
                    GainAdvice near = judge.apply(pair.kp() * kpStep, pair.kd() * kdStep);
                    Pair fresh = new Pair(near.kp(), near.kd(), new Tried(0, 0, 0));
                    if (allowed.test(near) && !around.contains(fresh)) {
                        around.add(fresh);
                    }
                }
            }
        }
        pairs = driven(better(driven(around, SECOND_RUNS), LAST_PAIRS), LAST_RUNS);
        Pair best = better(pairs, 1).get(0);
        return best.tried().share() < LEAST_SHARE
                ? Optional.empty()
                : Optional.of(new TwinAdvice(
                        judge.apply(best.kp(), best.kd()),
                        best.tried().chance(),
                        best.tried().rmsMm()));
    }

    private static List<Pair> better(List<Pair> pairs, int count) {
        return pairs.stream()
                .sorted(Comparator.comparingDouble(Pair::cost))
                .limit(count)
                .toList();
    }

    /** All with so many runs more, the same ones for each. */
    private List<Pair> driven(List<Pair> pairs, int runs) {
        Pair[] more = new Pair[pairs.size()];
        int before = runsDone;
        workers.run(
                more.length,
                i -> {
                    Pair pair = pairs.get(i);
                    Tried tried = bend.drive(pair.kp(), pair.kd(), pair.tried().runs(), runs, seed);
                    more[i] = new Pair(pair.kp(), pair.kd(), pair.tried().and(tried));
                },
                new Job() {
                    @Override
                    public boolean cancelled() {
                        return job.cancelled();
                    }

                    @Override
                    public void progress(int done, int of) {
                        job.progress(Math.min(allRuns, before + done * runs), allRuns);
                    }
                });
        runsDone += more.length * runs;
        return List.of(more);
    }
}
