package fahrbahn.core.tuning;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Rounding;
import fahrbahn.core.job.CancelledException;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.loop.BendFloor;
import fahrbahn.core.loop.GainAdvice;
import fahrbahn.core.loop.GainAdvisor;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.table.Part;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Finds gains and speed for a course and a goal: loop theory proposes pairs for some speeds, the twin drives them on the course with
 * everything varied, the same starts for all; most are told apart by a few runs, the better ones are driven more, and the best are looked
 * around. Seeded: the same on any number of threads.
 */
public final class CourseAdvisor {
    private static final int STEPS_PER_RATIO = 4;
    private static final int[] ROUND_RUNS = {4, 8, 20};
    private static final int[] ROUND_KEPT = {30, 10, 3};
    private static final int LAST_RUNS = 168;
    private static final int SCHOOL_RUNS = 40;
    private static final double[] AROUND = {0.85, 1, 1.17};
    private static final double FASTER = 1.2;

    /** Of the set base command: to finish, slower only where it has to be, so one after the other. */
    private static final List<List<Double>> FINISH_SHARES =
            List.of(List.of(1.0), List.of(0.8), List.of(0.6), List.of(0.4));

    private static final List<List<Double>> PLACE_SHARES = List.of(List.of(0.7, 1.0), List.of(0.45));
    private static final List<List<Double>> LAP_SHARES = List.of(List.of(0.75, 1.0, 1.25, 1.6, 2.0, 2.6), List.of(0.5));
    private static final double[] WIDE_KD_PER_KP = {0, 1, 3, 8};
    private static final double[] WIDE_KP = {0.5, 0.8, 1.3, 2, 3.2, 5};

    private final Setup setup;
    private final Track track;
    private final Goal goal;
    private final long seed;
    private final Workers workers;
    private final Job job;

    private CourseAdvisor(Setup setup, Ground ground, Goal goal, long seed, Workers workers, Job job) {
        this.setup = setup;
        this.track = Track.of(ground, setup);
        this.goal = goal;
        this.seed = seed;
        this.workers = workers;
        this.job = job;
    }

    /**
     * @throws BadValueException when the robot cannot be put on the course, or its law has no gains
     * @throws CancelledException when the job asked to stop
     */
    public static CourseAdvice advise(Setup setup, Ground ground, Goal goal, long seed, Workers workers, Job job) {
        double tightest = ground.tightestRadiusMm();
        Setup here = Double.isFinite(ground.tightestRadiusMm())
                ? setup.withLine(
                        new Line(setup.line().widthMm(), setup.line().polarity(), Math.max(tightest, least(setup))))
                : setup;
        return new CourseAdvisor(here, ground, goal, seed, workers, job).advise();
    }

    private static double least(Setup setup) {
        return setup.robot().drive().effectiveTrackWidthMm() / 2;
    }

    private CourseAdvice advise() {
        List<List<Double>> shares = switch (goal) {
            case FINISH -> FINISH_SHARES;
            case PLACE -> PLACE_SHARES;
            case LAP -> LAP_SHARES;
        };
        CourseTrial best = null;
        for (List<Double> these : shares) {
            if (best != null && best.share() == 0 && these != shares.get(shares.size() - 1)) {
                continue; // a little slower will not bring it round either
            }
            CourseTrial found = best(proposals(these));
            best = best == null || found.cost(goal) < best.cost(goal) && found.share() > best.share() ? found : best;
            if (best.share() >= CourseTrial.SURE_SHARE) {
                break;
            }
        }
        return new CourseAdvice(
                best.kp(),
                best.kd(),
                best.base(),
                best.chance(),
                best.lapS(),
                best.placeMm(),
                GainAdvisor.judging(setup.withLaw(setup.law().withBaseCommand(best.base())))
                        .apply(best.kp(), best.kd()),
                limits(best),
                schools());
    }

    private CourseTrial best(List<CourseTrial> proposals) {
        List<CourseTrial> tried = proposals;
        for (int i = 0; i < ROUND_RUNS.length; i++) {
            tried = better(driven(tried, ROUND_RUNS[i]), ROUND_KEPT[i]);
            if (i == ROUND_RUNS.length - 2) {
                tried = around(tried);
            }
        }
        return better(driven(tried, LAST_RUNS), 1).get(0);
    }

    private List<Double> bases(List<Double> shares) {
        double set = setup.law().baseCommand();
        double full = setup.robot().drive().fullCommand();
        double least = setup.robot().drive().traits().curve().startsAboveCommand() * 1.05;
        List<Double> bases = new ArrayList<>();
        for (double share : shares) {
            double base = share == 1 ? set : Math.min(full, Rounding.significant(set * share, 3));
            if (base > least && !bases.contains(base)) {
                bases.add(base);
            }
        }
        return bases;
    }

    private List<CourseTrial> proposals(List<Double> shares) {
        List<CourseTrial> all = new ArrayList<>();
        for (double base : bases(shares)) {
            Setup at = setup.withLaw(setup.law().withBaseCommand(base));
            List<GainAdvice> pairs = GainAdvisor.proposals(at, STEPS_PER_RATIO);
            pairs.forEach(p -> all.add(new CourseTrial(two(p.kp()), two(p.kd()), base, CourseTrial.NONE)));
            if (pairs.isEmpty()) {
                double floor = BendFloor.kp(at);
                double from = Double.isFinite(floor)
                        ? floor
                        : setup.law().kp() > 0 ? setup.law().kp() : base / 100;
                for (double times : WIDE_KP) {
                    for (double ratio : WIDE_KD_PER_KP) {
                        double kp = two(from * times);
                        all.add(new CourseTrial(kp, two(ratio * kp), base, CourseTrial.NONE));
                    }
                }
            }
        }
        return all;
    }

    private List<CourseTrial> around(List<CourseTrial> best) {
        List<CourseTrial> all = new ArrayList<>(best);
        for (CourseTrial one : best.subList(0, Math.min(4, best.size()))) {
            for (double kp : AROUND) {
                for (double kd : AROUND) {
                    CourseTrial near =
                            new CourseTrial(two(one.kp() * kp), two(one.kd() * kd), one.base(), CourseTrial.NONE);
                    if (all.stream()
                            .noneMatch(t -> t.kp() == near.kp() && t.kd() == near.kd() && t.base() == near.base())) {
                        all.add(near);
                    }
                }
            }
        }
        return driven(all, ROUND_RUNS[0] + ROUND_RUNS[1]);
    }

    private List<CourseTrial> better(List<CourseTrial> all, int count) {
        return all.stream()
                .sorted(Comparator.comparingDouble(t -> t.cost(goal)))
                .limit(count)
                .toList();
    }

    /** All with so many runs more; those that are behind catch up, so that all have seen the same starts. */
    private List<CourseTrial> driven(List<CourseTrial> all, int runs) {
        int upTo = all.stream().mapToInt(t -> t.results().length).max().orElse(0) + runs;
        List<CourseTrial> more = all.stream().map(t -> t.upTo(upTo)).toList();
        List<Missing> missing = new ArrayList<>();
        for (int i = 0; i < more.size(); i++) {
            CourseTrial one = more.get(i);
            Setup at = setup.withLaw(
                    setup.law().withGains(one.kp(), setup.law().ki(), one.kd()).withBaseCommand(one.base()));
            for (int run = all.get(i).results().length; run < upTo; run++) {
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

    private List<CourseAdvice.School> schools() {
        List<StartingGains> schools = StartingGains.of(setup);
        List<CourseTrial> tried = driven(
                schools.stream()
                        .map(s -> new CourseTrial(s.kp(), s.kd(), setup.law().baseCommand(), CourseTrial.NONE))
                        .toList(),
                SCHOOL_RUNS);
        List<CourseAdvice.School> all = new ArrayList<>();
        for (int i = 0; i < tried.size(); i++) {
            CourseTrial of = tried.get(i);
            all.add(new CourseAdvice.School(schools.get(i), of.chance(), of.rmsMm(), of.lapS()));
        }
        return all;
    }

    private CourseAdvice.Limits limits(CourseTrial best) {
        double full = setup.robot().drive().fullCommand();
        double faster = Math.min(full, best.base() * FASTER);
        CourseTrial hurried = driven(
                        List.of(new CourseTrial(best.kp(), best.kd(), faster, CourseTrial.NONE)), SCHOOL_RUNS)
                .get(0);
        double[] lost = Arrays.stream(hurried.results())
                .filter(r -> !r.completed())
                .mapToDouble(RunResult::sMm)
                .sorted()
                .toArray();
        Optional<Part> part =
                lost.length == 0 ? Optional.empty() : Optional.of(track.path().partAt(lost[lost.length / 2]));
        Loop loop = setup.robot().loop();
        double loopS = loop.delayS() + loop.periodS() / 2;
        return new CourseAdvice.Limits(
                part,
                lost.length == 0 ? Double.NaN : lost[lost.length / 2],
                faster == full,
                setup.robot().drive().lagS() + loopS,
                loopS);
    }

    private static double two(double value) {
        return Rounding.significant(value, 2);
    }
}
