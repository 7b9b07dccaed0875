package fahrbahn.core.tuning.race;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Rounding;
import fahrbahn.core.job.CancelledException;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.loop.GainAdvisor;
import fahrbahn.core.path.Part;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Track;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Finds gains and speed for a course and a goal by driving there. The speed that is set counts for nothing: from full speed down the best gains are
 * looked for, until one finishes surely and the next speed cannot be quicker.
 *
 * <ul>
 *   <li>{@link Goal#LAP}: that, and a little faster where it holds;
 *   <li>{@link Goal#FINISH}: two thirds of the fastest speed that finishes surely, with the calmest gains there. A motor lag half as long again as it was
 *       taken to be asks as much of the loop as half as much speed again (SCIENCE, least lead);
 *   <li>{@link Goal#PLACE}: the same, or slower as long as that makes the place where it stops much surer.
 * </ul>
 */
public final class CourseAdvisor {
    private static final int SCHOOL_RUNS = 40;

    /** What limits is what gives way so much faster. */
    private static final double FASTER = 1.2;

    private static final double SPEED_IN_HAND = 1.5;

    /** Between one speed and the next. */
    private static final double[] A_LITTLE_FASTER = {1.05, 1.1, 1.16, 1.22};

    private static final double WORTH_BEING_SLOWER = 0.85;

    /** Closer is more than a ruler tells of where it stops. */
    private static final double CLOSE_MM = 1;

    private static final int BASE_DIGITS = 3;

    /** A course that is finished more rarely has an island of gains somewhere, or none. */
    private static final double HARDLY = 0.8;

    private static final int SPEEDS_LOOKED_AT_AGAIN = 3;

    private final Setup setup;
    private final Track track;
    private final Goal goal;
    private final CourseRace race;

    private CourseAdvisor(Setup setup, Ground ground, Goal goal, long seed, Workers workers, Job job) {
        this.setup = setup;
        this.track = Track.of(ground, setup);
        this.goal = goal;
        this.race = new CourseRace(setup, track, seed, workers, job);
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
        List<CourseTrial> found = fromFullSpeedDown();
        CourseTrial best = best(found, Goal.LAP);
        if (best(found, Goal.FINISH).share() < HARDLY) {
            best = amongMoreGains(found);
        } else if (goal == Goal.LAP) {
            best = aLittleFaster(best);
        } else if (!best.sure()) {
            best = best(found, Goal.FINISH);
        } else {
            best = withSpeedInHand(best);
        }
        best = race.judged(best);
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

    private static CourseTrial best(List<CourseTrial> found, Goal by) {
        return found.stream().min(Comparator.comparingDouble(t -> t.cost(by))).orElseThrow();
    }

    /** The best of each speed, until a slower one cannot be quicker. */
    private List<CourseTrial> fromFullSpeedDown() {
        List<CourseTrial> found = new ArrayList<>();
        double chance = 0;
        for (double base : CourseProposals.bases(setup)) {
            double leastLapS = track.finishMm() / speedMmPerS(base);
            if (found.stream().anyMatch(t -> t.sure() && t.cost(Goal.LAP) < leastLapS)) {
                break;
            }
            CourseTrial here = race.at(base, Goal.LAP, chance);
            chance = Math.max(chance, here.share());
            found.add(here);
        }
        return found;
    }

    /** Where a course is hardly finished at any speed: the speeds that do best, looked at again with gains close to each other. */
    private CourseTrial amongMoreGains(List<CourseTrial> found) {
        CourseTrial best = best(found, Goal.FINISH);
        List<Double> bases = found.stream()
                .sorted(Comparator.comparingDouble(t -> t.cost(Goal.FINISH)))
                .limit(SPEEDS_LOOKED_AT_AGAIN)
                .map(CourseTrial::base)
                .toList();
        for (double base : bases) {
            best = best(List.of(best, race.finely(best, base, Goal.FINISH)), Goal.FINISH);
        }
        return best;
    }

    private double speedMmPerS(double base) {
        return setup.withLaw(setup.law().withBaseCommand(base)).speedMmPerS();
    }

    private CourseTrial aLittleFaster(CourseTrial than) {
        List<CourseTrial> all = race.atBases(than, A_LITTLE_FASTER);
        return all.isEmpty() ? than : best(List.of(than, race.best(all, Goal.LAP)), Goal.LAP);
    }

    private CourseTrial withSpeedInHand(CourseTrial fastest) {
        double base = Rounding.significant(fastest.base() / SPEED_IN_HAND, BASE_DIGITS);
        CourseTrial best = best(List.of(fastest, race.at(base, goal, fastest.share())), Goal.FINISH);
        if (goal == Goal.FINISH) {
            return best;
        }
        for (double slower : CourseProposals.bases(setup)) {
            if (slower < base && best.placeMm() > CLOSE_MM) {
                CourseTrial here = race.at(slower, goal, best.share());
                if (here.cost(goal) > WORTH_BEING_SLOWER * best.cost(goal)) {
                    break;
                }
                best = here;
            }
        }
        return best;
    }

    private List<CourseAdvice.School> schools() {
        List<StartingGains> schools = StartingGains.of(setup);
        CourseProposals atSetSpeed = CourseProposals.at(setup, setup.law().baseCommand());
        List<CourseTrial> tried = race.driven(
                schools.stream()
                        .map(s -> CourseTrial.of(
                                atSetSpeed.gains(s.kp(), s.kd()), setup.law().baseCommand()))
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
        CourseTrial hurried = race.driven(List.of(best.at(faster)), SCHOOL_RUNS).get(0);
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
}
