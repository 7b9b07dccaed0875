package fahrbahn.core.tuning.race;

import fahrbahn.core.check.Rounding;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Settings driven on a course with everything varied, the same starts for all: most are told apart by a few runs, the better ones are driven
 * more, and the best are looked around (successive halving: Z. Karnin et al., ICML 2013). Seeded: the same on any number of threads.
 */
final class CourseRace {
    /** Runs in all after each round, and how many settings go on. */
    private static final int[] ROUND_RUNS = {3, 9, 24, 60};

    private static final int[] ROUND_KEPT = {24, 10, 3, 1};
    private static final double[] UPHILL = {0.92, 1, 1.08};
    private static final int UPHILL_RUNS = 60;
    private static final int MOST_UPHILL = 4;
    private static final int[] FINE_KEPT = {40, 16, 6, 1};

    /** After this round the best are looked around. */
    private static final int LOOKED_AROUND = 1;

    private static final int AROUND_BEST = 4;
    private static final double[] AROUND = {0.85, 1, 1.17};
    private static final double[] A_LITTLE_MORE = {1, 1.17};

    /** Runs after which a setting is judged. */
    private static final int JUDGED_RUNS = 212;

    /** A speed whose best is so much less likely to finish than another's is not looked at further. */
    private static final double WORSE = 0.3;

    private static final int BASE_DIGITS = 3;

    private final Setup setup;
    private final Track track;
    private final long seed;
    private final Workers workers;
    private final Job job;

    CourseRace(Setup setup, Track track, long seed, Workers workers, Job job) {
        this.setup = setup;
        this.track = track;
        this.seed = seed;
        this.workers = workers;
        this.job = job;
    }

    /**
     * The best gains at a speed.
     *
     * @param chance to finish that another speed has: where this one falls far behind, it is given up after a few runs
     */
    CourseTrial at(double base, Goal goal, double chance) {
        CourseProposals proposals = CourseProposals.at(setup, base);
        List<CourseTrial> all =
                proposals.all().stream().map(g -> CourseTrial.of(g, base)).toList();
        return race(all, proposals, ROUND_KEPT, 1, goal, chance);
    }

    /** The same among many more gains, and the one that was best so far. */
    CourseTrial finely(CourseTrial best, double base, Goal goal) {
        CourseProposals proposals = CourseProposals.at(setup, base);
        List<CourseTrial> all = new ArrayList<>(
                proposals.fine().stream().map(g -> CourseTrial.of(g, base)).toList());
        if (best.base() == base) {
            all.add(best);
        }
        return uphill(race(all, proposals, FINE_KEPT, 2, goal, best.share()), proposals, goal);
    }

    /** By small steps as long as they help: an island may be a tenth wide. */
    private CourseTrial uphill(CourseTrial from, CourseProposals proposals, Goal goal) {
        CourseTrial here = driven(List.of(from), UPHILL_RUNS).get(0);
        for (int step = 0; step < MOST_UPHILL; step++) {
            List<CourseTrial> near = new ArrayList<>(List.of(here));
            for (double kp : UPHILL) {
                for (double kd : UPHILL) {
                    near.add(CourseTrial.of(proposals.gains(here.kp() * kp, here.kd() * kd), here.base()));
                }
            }
            CourseTrial next =
                    better(driven(near, here.results().length), 1, goal).get(0);
            if (next == near.get(0) || next.kp() == here.kp() && next.kd() == here.kd()) {
                break;
            }
            here = next;
        }
        return judged(here);
    }

    private CourseTrial race(
            List<CourseTrial> all, CourseProposals proposals, int[] kept, int roundsAround, Goal goal, double chance) {
        List<CourseTrial> tried = all;
        for (int i = 0; i < ROUND_RUNS.length; i++) {
            tried = better(driven(tried, ROUND_RUNS[i]), kept[i], goal);
            double most = tried.stream().mapToDouble(CourseTrial::share).max().orElseThrow();
            if (most == 0 || i > 0 && most < chance - WORSE) {
                return tried.get(0);
            }
            if (i >= LOOKED_AROUND && i < LOOKED_AROUND + roundsAround) {
                tried = better(driven(around(tried, proposals), ROUND_RUNS[i]), kept[i], goal);
            }
        }
        return judged(tried.get(0));
    }

    /** The best of these after as many runs as judge a setting. */
    CourseTrial best(List<CourseTrial> trials, Goal goal) {
        return judged(better(driven(trials, ROUND_RUNS[ROUND_RUNS.length - 1]), 1, goal)
                .get(0));
    }

    /** After as many runs as judge a setting. */
    CourseTrial judged(CourseTrial trial) {
        return driven(List.of(trial), JUDGED_RUNS).get(0);
    }

    /** A setting at other speeds that the drive has, with its gains and a little more. */
    List<CourseTrial> atBases(CourseTrial of, double... shares) {
        List<CourseTrial> all = new ArrayList<>();
        for (double share : shares) {
            double base = Rounding.significant(share * of.base(), BASE_DIGITS);
            if (base > setup.robot().drive().fullCommand()) {
                continue;
            }
            CourseProposals proposals = CourseProposals.at(setup, base);
            for (double kp : A_LITTLE_MORE) {
                for (double kd : A_LITTLE_MORE) {
                    all.add(CourseTrial.of(proposals.gains(kp * of.kp(), kd * of.kd()), base));
                }
            }
        }
        return all;
    }

    private static List<CourseTrial> around(List<CourseTrial> best, CourseProposals proposals) {
        List<CourseTrial> all = new ArrayList<>(best);
        for (CourseTrial one : best.subList(0, Math.min(AROUND_BEST, best.size()))) {
            for (double kp : AROUND) {
                for (double kd : AROUND) {
                    CourseProposals.Gains near = proposals.gains(one.kp() * kp, one.kd() * kd);
                    if (all.stream().noneMatch(t -> t.kp() == near.kp() && t.kd() == near.kd())) {
                        all.add(CourseTrial.of(near, one.base()));
                    }
                }
            }
        }
        return all;
    }

    private static List<CourseTrial> better(List<CourseTrial> all, int count, Goal goal) {
        return all.stream()
                .sorted(Comparator.comparingDouble(t -> t.cost(goal)))
                .limit(count)
                .toList();
    }

    /** All with so many runs; those that are behind catch up, so that all have seen the same starts. */
    List<CourseTrial> driven(List<CourseTrial> all, int runs) {
        List<CourseTrial> more = all.stream().map(t -> t.upTo(runs)).toList();
        List<Missing> missing = new ArrayList<>();
        for (int i = 0; i < more.size(); i++) {
            CourseTrial one = more.get(i);
            Setup at = setup.withLaw(
                    setup.law().withGains(one.kp(), setup.law().ki(), one.kd()).withBaseCommand(one.base()));
            for (int run = all.get(i).results().length; run < runs; run++) {
                missing.add(new Missing(one, at, run));
            }
        }
        // Each run by itself: of three settings two threads would drive two, and one of them the third alone.
        workers.run(missing.size(), i -> drive(missing.get(i)), job);
        return more;
    }

    private record Missing(CourseTrial of, Setup at, int run) {}

    private void drive(Missing missing) {
        Start start = Spread.TYPICAL.draw(0, seed, missing.run());
        missing.of().results()[missing.run()] = Twin.run(track, missing.at(), start);
    }
}
