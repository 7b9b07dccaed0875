package fahrbahn.core.runlog;

import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a log shows with its robot's setup beside the figures it has on its own.
 *
 * @param lost stretches on which no sensor of the law saw the line; empty when not all of them were logged
 * @param straightSteering what it steers on a straight in the mean, left positive: what its wheels, or its motors, are uneven by; empty where
 *     it logged no steering or nothing is steady
 */
public record OnTheWay(Optional<List<Lost>> lost, OptionalDouble straightSteering) {
    /** @param atS since the log began */
    public record Lost(double atS, double lengthS) {}

    /** A sensor that covers less of the line than this sees nothing of it. */
    private static final double SEEN_SHARE = 0.1;

    private static final double LEAST_S = 0.1;

    public OnTheWay {
        lost = lost.map(List::copyOf);
    }

    public static OnTheWay of(RunLog log, Setup setup) {
        double[] steering = log.column(RunLog.Column.STEERING).orElse(new double[0]);
        OptionalDouble straight = steering.length == 0
                ? OptionalDouble.empty()
                : OptionalDouble.of(LogSteadiness.straight(log, steering));
        return new OnTheWay(lost(log, setup), straight);
    }

    private static Optional<List<Lost>> lost(RunLog log, Setup setup) {
        int[] columns = setup.lawSensors().stream()
                .mapToInt(s -> log.sensors().indexOf(s.name()))
                .toArray();
        List<Lost> lost = new ArrayList<>();
        for (int column : columns) {
            if (column < 0) {
                return Optional.empty(); // a sensor that was not logged may have seen it
            }
        }
        int from = -1;
        for (int i = 0; i <= log.size(); i++) {
            if (i < log.size() && blind(log, setup, columns, i)) {
                from = from < 0 ? i : from;
            } else if (from >= 0) {
                double lengthS = log.tS(i - 1) - log.tS(from);
                if (lengthS >= LEAST_S) {
                    lost.add(new Lost(log.tS(from) - log.tS(0), lengthS));
                }
                from = -1;
            }
        }
        return Optional.of(lost);
    }

    private static boolean blind(RunLog log, Setup setup, int[] columns, int tick) {
        for (int i = 0; i < columns.length; i++) {
            Sensor sensor = setup.lawSensors().get(i);
            double ground = setup.line().polarity().ground(sensor);
            double share = (log.reading(tick, columns[i]) - ground)
                    / (setup.line().polarity().line(sensor) - ground);
            if (share >= SEEN_SHARE) {
                return false;
            }
        }
        return true;
    }
}
