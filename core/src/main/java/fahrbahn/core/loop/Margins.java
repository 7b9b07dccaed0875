package fahrbahn.core.loop;

import fahrbahn.core.setup.Loop;

/**
 * How far a loop with its gains is from wiggling. Both margins are infinite when nothing within the search makes it unstable, and
 * do not exist for a loop that is unstable as it is.
 *
 * @param gain times all three gains together may be raised
 * @param delayS extra delay it bears
 * @param dampingRatio of its slowest motion, 1 for one that does not swing
 * @param settlingS time constant of the slowest motion: a disturbance falls to 37 % in this time
 * @param slowestPeriodS period of that motion; infinite when it does not swing
 */
public record Margins(double gain, double delayS, double dampingRatio, double settlingS, double slowestPeriodS) {
    private static final double MOST_GAIN = 1e4;
    private static final double MOST_DELAY_PERIODS = 60;
    private static final int BISECTIONS = 50;

    /** Steps of the outward search: a loop that is unstable for less than 10 % of gain only is passed over. */
    private static final double GAIN_STEP = 1.1;

    /** @throws IllegalStateException when the loop is unstable with these gains: it has no margins */
    public static Margins of(LoopModel model, double kp, double ki, double kd) {
        Mode slowest = new SampledLoop(model).slowestMode(kp, ki, kd);
        if (!(slowest.radius() < 1)) {
            throw new IllegalStateException("unstable as it is: spectral radius " + slowest.radius());
        }
        return new Margins(
                gain(model, kp, ki, kd),
                delay(model, kp, ki, kd),
                slowest.dampingRatio(),
                slowest.timeConstantS(),
                slowest.periodS());
    }

    private static double gain(LoopModel model, double kp, double ki, double kd) {
        SampledLoop loop = new SampledLoop(model);
        double stable = 1;
        double tried = GAIN_STEP;
        while (loop.spectralRadius(tried * kp, tried * ki, tried * kd) < 1) {
            stable = tried;
            tried *= GAIN_STEP;
            if (tried > MOST_GAIN) {
                return Double.POSITIVE_INFINITY;
            }
        }
        for (int i = 0; i < BISECTIONS; i++) {
            double middle = (stable + tried) / 2;
            if (loop.spectralRadius(middle * kp, middle * ki, middle * kd) < 1) {
                stable = middle;
            } else {
                tried = middle;
            }
        }
        return stable;
    }

    private static double delay(LoopModel model, double kp, double ki, double kd) {
        Loop loop = model.loop();
        double stepS = loop.periodS() / 4;
        double stable = 0;
        double tried = stepS;
        while (radiusWithDelay(model, tried, kp, ki, kd) < 1) {
            stable = tried;
            tried += stepS;
            if (tried > MOST_DELAY_PERIODS * loop.periodS()) {
                return Double.POSITIVE_INFINITY;
            }
        }
        for (int i = 0; i < BISECTIONS; i++) {
            double middle = (stable + tried) / 2;
            if (radiusWithDelay(model, middle, kp, ki, kd) < 1) {
                stable = middle;
            } else {
                tried = middle;
            }
        }
        return stable;
    }

    private static double radiusWithDelay(LoopModel model, double extraS, double kp, double ki, double kd) {
        return new SampledLoop(model.withDelayS(model.loop().delayS() + extraS)).spectralRadius(kp, ki, kd);
    }
}
