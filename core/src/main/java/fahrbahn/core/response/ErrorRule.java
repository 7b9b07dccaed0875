package fahrbahn.core.response;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.List;

/**
 * Makes the error from the scaled readings of a law's sensors. The closed-form curve, the twin and the exported program all go
 * through this one rule. Allocates nothing after it is made; has no state, so threads may share it.
 */
public final class ErrorRule {
    private final ErrorSignal signal;
    private final double target;
    private final double[] weights;
    private final LineShare lineShare;
    private final double seenShare;

    private ErrorRule(Setup setup) {
        Law law = setup.law();
        List<Sensor> sensors = setup.lawSensors();
        signal = law.signal();
        target = law.target();
        weights = weights(setup);
        lineShare = new LineShare(setup, sensors);
        seenShare = law.options().lost().seenShare();
    }

    /** @throws BadValueException for the pattern law, which makes no error */
    public static ErrorRule of(Setup setup) {
        if (!setup.law().signal().hasError()) {
            throw new BadValueException(
                    "law.kind",
                    ErrorSignal.PATTERN.word(),
                    "a law with an error: a pattern law steers by its table and has neither gain nor slope");
        }
        return new ErrorRule(setup);
    }

    /** Of the law's sensors, left to right: those it has been given, or the usual ones. */
    public static double[] weights(Setup setup) {
        Law law = setup.law();
        return law.options().weights().isEmpty() || !law.signal().wholeRow()
                ? usualWeights(law.signal(), setup.lawSensors())
                : law.options().weights().stream().mapToDouble(w -> w).toArray();
    }

    /** Places in mm for the mean; 1, 2, 3 ... outward for the difference, nothing in an odd middle. */
    private static double[] usualWeights(ErrorSignal signal, List<Sensor> sensors) {
        int count = sensors.size();
        double[] weights = new double[count];
        for (int i = 0; i < count; i++) {
            int outward = Math.abs(count - 1 - 2 * i) / 2 + (count % 2 == 0 ? 1 : 0);
            weights[i] = signal.isMean() ? sensors.get(i).leftMm() : Integer.signum(count - 1 - 2 * i) * outward;
        }
        return weights;
    }

    /**
     * @param scaled one scaled reading per sensor of the law, left to right
     * @param whenUnseen the answer of a weighted mean while no sensor sees the line, where its sum is too small to divide by
     */
    public double error(double[] scaled, double whenUnseen) {
        return switch (signal) {
            case EDGE -> scaled[0] - target;
            case PAIR -> scaled[0] - scaled[1];
            case ARRAY_DIFFERENCE -> difference(scaled);
            case ARRAY_MEAN -> mean(scaled, whenUnseen);
            case PATTERN -> throw new IllegalStateException("a pattern makes no error");
        };
    }

    private double difference(double[] scaled) {
        double sum = 0;
        for (int i = 0; i < weights.length; i++) {
            sum += weights[i] * scaled[i];
        }
        return sum;
    }

    private double mean(double[] scaled, double whenUnseen) {
        double most = 0;
        double sum = 0;
        double weighted = 0;
        for (int i = 0; i < weights.length; i++) {
            double share = Math.max(0, lineShare.of(i, scaled[i]));
            most = Math.max(most, share);
            sum += share;
            weighted += share * weights[i];
        }
        return most < seenShare ? whenUnseen : weighted / sum;
    }
}
