package fahrbahn.core.runlog;

import fahrbahn.core.check.Text;
import fahrbahn.core.response.Spot;
import fahrbahn.core.setup.Polarity;
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

    /** Of a mean over fewer nothing is said. */
    private static final int LEAST_TICKS = 50;

    /** Of the contrast: dark, light or the middle of two sensors astride so far from where the program has them. */
    private static final double LEVEL_SHARE = 0.1;

    /** A sensor that shows one value so often, while another moves by a tenth of its contrast, is stuck. */
    private static final double STUCK_SHARE = 0.9;

    private static final double MOVES_SHARE = 0.2;

    /** Of the most error there is. */
    private static final double STEERS_SHARE = 0.03;

    /** Of the most error there is: with less, two sensors astride are where they should be. */
    private static final double ASTRIDE_SHARE = 0.3;

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
        if (same < STUCK_SHARE * readings.length) {
            return;
        }
        double share = 100.0 * same / readings.length;
        if (log.sensors().size() == 1 && setup.lawSensors().size() == 1) {
            // Nothing else moves by which one could tell. But it steers by what it reads, so that its reading had to
            // change.
            double off = Math.abs(Arrays.stream(error()).average().orElse(0));
            if (off > STEERS_SHARE * reach()) {
                add(
                        Fault.STUCK_SENSOR,
                        "Sensor %s shows %s in %.0f of 100 ticks, though the robot steers by it all the while.",
                        sensor.name(),
                        Text.digits(usual, 3),
                        share);
            }
            return;
        }
        double moved = othersMove(sensor);
        if (moved > MOVES_SHARE) {
            add(
                    Fault.STUCK_SENSOR,
                    "Sensor %s shows %s in %.0f of 100 ticks, while another moves by %.0f %% of its contrast.",
                    sensor.name(),
                    Text.digits(usual, 3),
                    share,
                    100 * moved);
        }
    }

    /** The largest span of any other sensor, as a share of its contrast. */
    private double othersMove(Sensor but) {
        double most = 0;
        for (Sensor other : setup.robot().sensors()) {
            int column = log.sensors().indexOf(other.name());
            if (column >= 0 && !other.name().equals(but.name())) {
                double[] readings = log.readings(column);
                double span = Arrays.stream(readings).max().orElseThrow()
                        - Arrays.stream(readings).min().orElseThrow();
                most = Math.max(most, span / other.contrast());
            }
        }
        return most;
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
                        "Sensor %s reads from %s to %s where the program has %s to %s: capture it again.",
                        sensor.name(),
                        Text.digits(ends[0], 3),
                        Text.digits(ends[1], 3),
                        Text.digits(low, 3),
                        Text.digits(high, 3));
                return;
            }
        }
        if (setup.law().signal().straddles() && sensors.size() == 2) {
            astride(sensors);
        }
    }

    /** By what both read while the error is small: then they stand evenly over the line, whatever it does in bends. */
    private void astride(List<Sensor> sensors) {
        double[] error = error();
        if (!rides || error.length == 0) {
            return;
        }
        double share = 0;
        double expected = 0;
        int ticks = 0;
        int[] columns =
                sensors.stream().mapToInt(s -> log.sensors().indexOf(s.name())).toArray();
        for (int i = 0; i < error.length; i++) {
            if (Math.abs(error[i]) < ASTRIDE_SHARE * reach()) {
                ticks++;
                for (int k = 0; k < columns.length; k++) {
                    Sensor sensor = sensors.get(k);
                    share += (log.reading(i, columns[k]) - sensor.dark()) / (sensor.light() - sensor.dark()) / 2;
                }
            }
        }
        for (Sensor sensor : sensors) {
            double beside = (sensors.get(0).leftMm() - sensors.get(1).leftMm()) / 2;
            double line = Spot.coverage(beside, setup.line().widthMm(), sensor.spotSigmaMm());
            expected += (setup.line().polarity() == Polarity.DARK_ON_LIGHT ? 1 - line : line) / 2;
        }
        if (ticks >= LEAST_TICKS && Math.abs(share / ticks - expected) > LEVEL_SHARE) {
            add(
                    Fault.LEVELS,
                    "Astride the line its sensors read %.0f %% of the way from dark to light, not %.0f %%: capture both again.",
                    100 * share / ticks,
                    100 * expected);
        }
    }
}
