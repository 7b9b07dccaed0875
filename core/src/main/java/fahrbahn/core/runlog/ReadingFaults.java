package fahrbahn.core.runlog;

import fahrbahn.core.check.Text;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** What is wrong with what the sensors of a log read: the part of {@link LogFaults} that needs nothing but readings. */
final class ReadingFaults {
    /** Of the contrast: readings so far beyond dark and light are none of the table's. */
    private static final double GLARE_SHARE = 0.35;

    private static final int GLARE_TICKS = 3;

    /** Of the contrast: dark, light or the middle of two sensors astride so far from where the program has them. */
    private static final double LEVEL_SHARE = 0.1;

    /** A sensor that shows one value so often, while another moves by a tenth of its contrast, is stuck. */
    private static final double STUCK_SHARE = 0.9;

    private static final double MOVES_SHARE = 0.1;

    private final RunLog log;
    private final Setup setup;
    private final boolean rides;
    private final List<LogFaults.Found> found = new ArrayList<>();

    private ReadingFaults(RunLog log, Setup setup, boolean rides) {
        this.log = log;
        this.setup = setup;
        this.rides = rides;
    }

    /** @param rides whether it followed the line most of the time, so that the mean of its readings says where it rode */
    static List<LogFaults.Found> of(RunLog log, Setup setup, boolean rides) {
        return new ReadingFaults(log, setup, rides).look();
    }

    private void add(Fault fault, String evidence, Object... values) {
        found.add(new LogFaults.Found(fault, Text.of(evidence, values)));
    }

    private double reach() {
        return LogFaults.reach(setup);
    }

    private double[] error() {
        return log.column(RunLog.Column.ERROR).orElse(new double[0]);
    }

    private List<LogFaults.Found> look() {
        List<Sensor> sensors = setup.lawSensors();
        for (int i = 0; i < sensors.size(); i++) {
            int column = log.sensors().indexOf(sensors.get(i).name());
            if (column >= 0) {
                double[] readings = log.readings(column);
                stuck(sensors.get(i), readings);
                glare(sensors.get(i), readings);
            }
        }
        levels(sensors);
        return found;
    }

    private void stuck(Sensor sensor, double[] readings) {
        double[] sorted = readings.clone();
        Arrays.sort(sorted);
        double usual = sorted[sorted.length / 2];
        long same = Arrays.stream(readings).filter(r -> r == usual).count();
        double[] error = error();
        double moved = error.length == 0
                ? 0
                : Arrays.stream(error).max().orElseThrow()
                        - Arrays.stream(error).min().orElseThrow();
        if (same >= STUCK_SHARE * readings.length && moved > MOVES_SHARE * reach()) {
            add(
                    Fault.STUCK_SENSOR,
                    "Sensor %s shows %s in %.0f of 100 ticks, while the error moves by %s.",
                    sensor.name(),
                    Text.digits(usual, 3),
                    100.0 * same / readings.length,
                    Text.digits(moved, 2));
        }
    }

    private void glare(Sensor sensor, double[] readings) {
        double low = Math.min(sensor.dark(), sensor.light()) - GLARE_SHARE * sensor.contrast();
        double high = Math.max(sensor.dark(), sensor.light()) + GLARE_SHARE * sensor.contrast();
        int ticks = 0;
        double furthest = 0;
        double atS = 0;
        for (int i = 0; i < readings.length; i++) {
            if (readings[i] < low || readings[i] > high) {
                atS = ticks == 0 ? log.tS(i) : atS;
                ticks++;
                double beyond = readings[i] > high ? readings[i] - high : readings[i] - low;
                furthest = Math.abs(beyond) > Math.abs(furthest) ? beyond : furthest;
            }
        }
        if (ticks >= GLARE_TICKS) {
            add(
                    Fault.GLARE,
                    "Sensor %s shows up to %s in %d ticks, from %.2f s on, where the table has %s to %s.",
                    sensor.name(),
                    Text.digits((furthest > 0 ? high : low) + furthest, 3),
                    ticks,
                    atS,
                    Text.digits(sensor.dark(), 3),
                    Text.digits(sensor.light(), 3));
        }
    }

    /** Two astride see half the line each: their middle is the middle of dark and light. One on its edge shows how far its readings go. */
    private void levels(List<Sensor> sensors) {
        for (Sensor sensor : sensors) {
            int column = log.sensors().indexOf(sensor.name());
            if (column < 0) {
                return;
            }
            double[] sorted = log.readings(column);
            Arrays.sort(sorted);
            double[] ends = {sorted[(int) (0.01 * (sorted.length - 1))], sorted[(int) (0.99 * (sorted.length - 1))]};
            double low = Math.min(sensor.dark(), sensor.light());
            double high = Math.max(sensor.dark(), sensor.light());
            double beyond = Math.max(low - ends[0], ends[1] - high) / sensor.contrast();
            if (beyond > LEVEL_SHARE) {
                add(
                        Fault.LEVELS,
                        "Sensor %s reads from %s to %s where the program has %s to %s: capture it anew.",
                        sensor.name(),
                        Text.digits(ends[0], 3),
                        Text.digits(ends[1], 3),
                        Text.digits(low, 3),
                        Text.digits(high, 3));
                return;
            }
        }
        if (setup.law().kind() == Law.Kind.PAIR && sensors.size() == 2) {
            astride(sensors);
        }
    }

    private void astride(List<Sensor> sensors) {
        double share = 0;
        for (Sensor sensor : sensors) {
            double mean = Arrays.stream(log.readings(log.sensors().indexOf(sensor.name())))
                    .average()
                    .orElseThrow();
            share += (mean - sensor.dark()) / (sensor.light() - sensor.dark()) / 2;
        }
        double expected = rides ? 0.5 : Double.NaN;
        if (Math.abs(share - expected) > LEVEL_SHARE) {
            add(
                    Fault.LEVELS,
                    "Astride the line its sensors read %.0f %% of the way from dark to light, not 50 %%: capture both anew.",
                    100 * share);
        }
    }
}
