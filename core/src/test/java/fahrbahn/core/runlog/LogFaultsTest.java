package fahrbahn.core.runlog;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Repeated;
import fahrbahn.core.Setups;
import fahrbahn.core.loop.BendFloor;
import fahrbahn.core.loop.LaneReport;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Trace;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import fahrbahn.core.twin.Variation;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Logs of the twin with one fault planted in each: it is the first that is named. */
class LogFaultsTest extends Repeated {
    /** Of the forty logs of docs/accuracy.md. */
    private static final double LEAST_RIGHT = 34.0 / 40;

    /** A robot as it was set up and works, drawn anew each time. */
    private static Setup sound(Random random, boolean pair) {
        Setup base = pair ? Setups.pair() : Setups.edge();
        Setup other = base.withDrive(base.robot()
                        .drive()
                        .withLagS(0.025 + 0.03 * random.nextDouble())
                        .withTrackWidthMm(110 + 30 * random.nextDouble()))
                .withLoop(new Loop(0.008 + 0.004 * random.nextDouble(), 0.003 + 0.006 * random.nextDouble()));
        double onset = LaneReport.of(other).wiggleWithKdTwiceKp().orElseThrow().kp();
        double kp = Math.sqrt(onset * BendFloor.kp(other));
        return other.withLaw(other.law().withGains(kp, 0, 2 * kp));
    }

    private record Planted(RunLog log, Setup believed) {}

    private static Planted drive(Setup real, Setup believed, long seed, double jitter, double mismatch) {
        Trace trace = new Trace();
        Start start = new Start(2, 0.02, new Variation(1, 1, mismatch, 0, 1, 1, 1, jitter), seed);
        Twin.asProgrammed(
                Track.of(DemoCourses.workshopLoop(), real),
                believed.withLoop(real.robot().loop()),
                start,
                trace);
        return new Planted(Logs.of(trace, believed), believed);
    }

    private static Setup gains(Setup setup, double kp, double kd) {
        return setup.withLaw(setup.law().withGains(kp, 0, kd));
    }

    private static Planted planted(Fault fault, Random random, int number) {
        boolean pair = fault == Fault.STUCK_SENSOR || fault != Fault.WRONG_WAY && number % 2 == 0;
        Setup sound = sound(random, pair);
        long seed = random.nextLong();
        Law law = sound.law();
        switch (fault) {
            case WRONG_WAY:
                // On the left edge with a program for the right one.
                Law left = sound.law().withSide(Side.LEFT);
                return drive(sound.withLaw(left), sound, seed, 0.02, 0);
            case STUCK_SENSOR:
                Sensor one = sound.robot().sensors().get(number % 2);
                double at = 30 + 20 * random.nextDouble();
                Robot dull = sound.robot().withSensor(number % 2, one.withSurfaces(at, at + 1e-3, 0));
                return drive(sound.withRobot(dull), sound, seed, 0.02, 0);
            case GLARE:
                return glare(drive(sound, sound, seed, 0.02, 0), random);
            case LEVELS:
                double darker = number < 2 ? 1.22 : 1.3;
                return drive(lit(sound, darker), sound, seed, 0.02, 0);
            case SLOW_LOOP:
                Loop loop = sound.robot().loop();
                return drive(
                        sound.withLoop(new Loop((1.35 + 0.2 * random.nextDouble()) * loop.periodS(), loop.delayS())),
                        sound,
                        seed,
                        0.02,
                        0);
            case UNEVEN_LOOP:
                return drive(sound, sound, seed, 0.24, 0);
            case UNEVEN_WHEELS:
                return drive(
                        sound, sound, seed, 0.02, (number % 2 == 0 ? 1 : -1) * (0.12 + 0.06 * random.nextDouble()));
            case LAG:
                double lag = sound.robot().drive().lagS();
                return drive(
                        sound.withDrive(sound.robot().drive().withLagS(lag + 0.03 + 0.02 * random.nextDouble())),
                        sound,
                        seed,
                        0.02,
                        0);
            case NO_DAMPING:
                double onset = LaneReport.of(sound).wiggle().orElseThrow().kp();
                Setup bare = gains(sound, (1.3 + 0.5 * random.nextDouble()) * onset, 0);
                return drive(bare, bare, seed, 0.02, 0);
            case TOO_SHARP:
                double onsetWithKd =
                        LaneReport.of(sound).wiggleWithKdTwiceKp().orElseThrow().kp();
                double kp = (1.3 + 0.5 * random.nextDouble()) * onsetWithKd;
                Setup sharp = gains(sound, kp, 2 * kp);
                return drive(sharp, sharp, seed, 0.02, 0);
            case TOO_SOFT:
                double soft = (0.5 + 0.3 * random.nextDouble()) * BendFloor.kp(sound);
                Setup weak = gains(sound, soft, 2 * soft);
                return drive(weak, weak, seed, 0.02, 0);
            default:
                throw new IllegalStateException(fault.word());
        }
    }

    private static Setup lit(Setup setup, double times) {
        List<Sensor> sensors = setup.robot().sensors().stream()
                .map(s -> s.withSurfaces(s.dark() * times, s.light() * times, s.noise()))
                .toList();
        return setup.withRobot(setup.robot().withSensors(sensors));
    }

    /** A lamp mirrored in the mat: all readings far up for some ticks, in two places. */
    private static Planted glare(Planted run, Random random) {
        RunLog log = run.log();
        double[] tS = new double[log.size()];
        Arrays.setAll(tS, log::tS);
        double[][] readings = new double[log.sensors().size()][];
        for (int i = 0; i < readings.length; i++) {
            readings[i] = log.readings(i);
        }
        for (int place = 0; place < 2; place++) {
            int from = (int) ((0.2 + 0.3 * place + 0.2 * random.nextDouble()) * log.size());
            for (int tick = from; tick < from + 5; tick++) {
                for (double[] sensor : readings) {
                    sensor[tick] += 60;
                }
            }
        }
        double[][] columns = new double[RunLog.Column.values().length][];
        for (RunLog.Column column : RunLog.Column.values()) {
            columns[column.ordinal()] = log.column(column).orElse(null);
        }
        return new Planted(new RunLog(tS, log.sensors(), readings, columns), run.believed());
    }

    private static List<LogFaults.Found> found(Planted planted) {
        Optional<LogFit> fit = LogFit.of(planted.log(), planted.believed());
        return LogFaults.of(
                planted.log(),
                planted.believed(),
                LogFigures.of(planted.log(), planted.believed().robot().drive()),
                fit);
    }

    @Test
    void theFaultThatWasPlantedIsNamedFirst() {
        int each = times(1, 4);
        Random random = new Random(2);
        List<Fault> kinds = new ArrayList<>(List.of(Fault.values()));
        kinds.remove(Fault.UNEVEN_LOOP);
        int right = 0;
        List<String> wrong = new ArrayList<>();
        for (Fault fault : kinds) {
            for (int i = 0; i < each; i++) {
                List<LogFaults.Found> all = found(planted(fault, random, i));
                boolean first = !all.isEmpty() && all.get(0).fault() == fault;
                right += first ? 1 : 0;
                if (!first) {
                    wrong.add(fault + ": " + all);
                }
            }
        }
        System.out.printf(Locale.ROOT, "faults named first: %d of %d; not %s%n", right, kinds.size() * each, wrong);
        assertThat(right).as("named first, not %s", wrong).isGreaterThanOrEqualTo((int)
                Math.ceil(LEAST_RIGHT * kinds.size() * each));
    }

    @Test
    void aSoundRobotHasNone() {
        Random random = new Random(5);
        int clean = 0;
        int robots = times(6, 20);
        for (int i = 0; i < robots; i++) {
            Setup sound = sound(random, i % 2 == 0);
            List<LogFaults.Found> all = found(drive(sound, sound, i, 0.02, 0));
            clean += all.isEmpty() ? 1 : 0;
        }
        assertThat(clean).as("of %d sound robots", robots).isGreaterThanOrEqualTo((int) (0.85 * robots));
    }
}
