package fahrbahn.core.law;

import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/** Steering by the pattern that a row of on/off sensors shows. */
final class PatternTable {
    /** By sensor, scale units. */
    private final double[] threshold;

    /** +1 where the line reads above the threshold, -1 where below. */
    private final double[] lineSign;

    private int shown;

    /** By pattern number; NaN where the table says nothing. */
    private final double[] steering;

    PatternTable(Setup setup) {
        Law law = setup.law();
        List<Sensor> sensors = setup.lawSensors();
        threshold =
                IntStream.range(0, sensors.size()).mapToDouble(law::threshold).toArray();
        lineSign = sensors.stream()
                .mapToDouble(s -> law.scale().scaled(s, setup.line().polarity().line(s))
                        - law.scale().scaled(s, setup.line().polarity().ground(s)))
                .map(Math::signum)
                .toArray();
        steering = new double[1 << sensors.size()];
        Arrays.fill(steering, Double.NaN);
        for (Options.Pattern pattern : law.options().patterns()) {
            steering[pattern.number()] = pattern.steering();
        }
    }

    /** @param otherwise for a pattern the table does not have */
    double steering(double[] scaled, double otherwise) {
        int number = 0;
        for (int i = 0; i < lineSign.length; i++) {
            number = 2 * number + (lineSign[i] * (scaled[i] - threshold[i]) > 0 ? 1 : 0);
        }
        shown = number;
        return Double.isNaN(steering[number]) ? otherwise : steering[number];
    }

    /** Whether at the latest tick every sensor saw the line. */
    boolean allOnLine() {
        return shown == steering.length - 1;
    }
}
