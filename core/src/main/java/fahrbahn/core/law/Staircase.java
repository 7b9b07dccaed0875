package fahrbahn.core.law;

import fahrbahn.core.setup.Options;
import java.util.List;

/** Steering in steps of the error, the same to both sides, with hysteresis where a step is left. */
final class Staircase {
    private final double[] aboveError;
    private final double[] steering;
    private final double hysteresis;
    /** Step the error stands on, counted from 1 and negative for negative errors; 0 inside the first. */
    private int step;

    Staircase(List<Options.Step> steps, double hysteresis) {
        aboveError = steps.stream().mapToDouble(Options.Step::aboveError).toArray();
        steering = steps.stream().mapToDouble(Options.Step::steering).toArray();
        this.hysteresis = hysteresis;
    }

    void reset() {
        step = 0;
    }

    /** Signed like the error. */
    double steering(double error) {
        int side = error < 0 ? -1 : 1;
        double size = Math.abs(error);
        int reached = reached(size);
        if (step * side > 0) {
            int held = step * side;
            while (held > reached && size <= aboveError[held - 1] - hysteresis) {
                held--;
            }
            step = side * Math.max(reached, held);
        } else if (step == 0 || size > hysteresis || aboveError[0] > 0) {
            step = side * reached;
        }
        return step == 0 ? 0 : Math.signum(step) * steering[Math.abs(step) - 1];
    }

    private int reached(double size) {
        int reached = 0;
        while (reached < aboveError.length && size > aboveError[reached]) {
            reached++;
        }
        return reached;
    }
}
