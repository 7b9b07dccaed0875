package fahrbahn.core.tuning;

import fahrbahn.core.trials.Completion;
import fahrbahn.core.twin.RunResult;
import java.util.Arrays;
import java.util.function.ToDoubleFunction;

/** One setting and what has become of it so far. */
record CourseTrial(double kp, double kd, double base, RunResult[] results) {
    /** From this share on settings count as equally sure. */
    static final double SURE_SHARE = 0.99;

    static final RunResult[] NONE = {};

    private static final double LOST_WEIGHT = 25;

    CourseTrial upTo(int runs) {
        return new CourseTrial(kp, kd, base, Arrays.copyOf(results, runs));
    }

    Completion chance() {
        return Completion.of(
                (int) Arrays.stream(results).filter(RunResult::completed).count(), results.length);
    }

    double share() {
        return (double) chance().completed() / results.length;
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
        double lost = 1 + LOST_WEIGHT * Math.max(0, SURE_SHARE - share());
        // Where none finished, the way it came tells those apart that nearly did.
        double far =
                Arrays.stream(results).mapToDouble(RunResult::sMm).average().orElse(0);
        return Double.isNaN(figure) ? 1e9 - far : figure * lost;
    }
}
