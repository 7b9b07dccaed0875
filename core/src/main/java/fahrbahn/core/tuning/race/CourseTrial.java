package fahrbahn.core.tuning.race;

import fahrbahn.core.statistics.Completion;
import fahrbahn.core.tuning.race.CourseProposals.Strain;
import fahrbahn.core.twin.RunResult;
import java.util.Arrays;
import java.util.function.ToDoubleFunction;

/**
 * One setting and what has become of it so far.
 *
 * @param strain of the gains at its speed
 */
record CourseTrial(double kp, double kd, double base, Strain strain, RunResult[] results) {
    /** From this share on settings count as equally sure. */
    private static final double SURE_SHARE = 0.99;

    private static final RunResult[] NONE = {};

    private static final double LOST_WEIGHT = 25;

    /** To one who has to finish nothing makes up for a run that is lost. */
    private static final double LOST_WEIGHT_TO_FINISH = 1000;

    /** Not driven yet. */
    static CourseTrial of(CourseProposals.Gains gains, double base) {
        return new CourseTrial(gains.kp(), gains.kd(), base, gains.strain(), NONE);
    }

    CourseTrial upTo(int runs) {
        return new CourseTrial(kp, kd, base, strain, Arrays.copyOf(results, runs));
    }

    /** The same gains at another speed, not driven yet. */
    CourseTrial at(double otherBase) {
        return new CourseTrial(kp, kd, otherBase, strain, NONE);
    }

    Completion chance() {
        return Completion.of(
                (int) Arrays.stream(results).filter(RunResult::completed).count(), results.length);
    }

    double share() {
        return (double) chance().completed() / results.length;
    }

    boolean sure() {
        return share() >= SURE_SHARE;
    }

    double[] ofCompleted(ToDoubleFunction<RunResult> figure) {
        return Arrays.stream(results)
                .filter(RunResult::completed)
                .mapToDouble(figure)
                .toArray();
    }

    double lapS() {
        return Arrays.stream(ofCompleted(RunResult::timeS)).average().orElse(Double.NaN);
    }

    double placeMm() {
        double[] along = ofCompleted(RunResult::stopAlongMm);
        double mean = Arrays.stream(along).average().orElse(Double.NaN);
        double squares = Arrays.stream(along).map(a -> (a - mean) * (a - mean)).sum();
        return along.length < 2 ? Double.NaN : Math.sqrt(squares / (along.length - 1));
    }

    double rmsMm() {
        return Math.sqrt(
                Arrays.stream(ofCompleted(r -> r.rmsMm() * r.rmsMm())).average().orElse(Double.NaN));
    }

    /** Less is better. */
    double cost(Goal goal) {
        double figure = switch (goal) {
            case FINISH -> rmsMm();
            case PLACE -> placeMm();
            case LAP -> lapS();
        };
        double weight = goal == Goal.FINISH ? LOST_WEIGHT_TO_FINISH : LOST_WEIGHT;
        double lost = 1 + weight * Math.max(0, SURE_SHARE - share());
        // Where none finished, the way it came tells those apart that nearly did.
        double far =
                Arrays.stream(results).mapToDouble(RunResult::sMm).average().orElse(0);
        return Double.isNaN(figure) ? 1e9 - far : figure * lost * strained(goal);
    }

    /** What one is worth that keeps its margins: a lap a little longer, or much further off the path. */
    private double strained(Goal goal) {
        return switch (strain) {
            case NONE -> 1;
            case SOME -> goal == Goal.LAP ? 1.03 : 2;
            case MUCH -> goal == Goal.LAP ? 1.15 : 4;
        };
    }
}
