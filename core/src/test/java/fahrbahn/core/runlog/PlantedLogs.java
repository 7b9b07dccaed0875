package fahrbahn.core.runlog;

import fahrbahn.core.Setups;
import fahrbahn.core.loop.BendFloor;
import fahrbahn.core.loop.LaneReport;
import fahrbahn.core.sensing.Variation;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.IntPredicate;

/** Logs of drawn robots, sound ones and ones with one fault each, and the robots as their coaches believe them to be. */
final class PlantedLogs {
    /** @param real as it is @param believed as its setup has it */
    record Planted(RunLog log, Setup real, Setup believed) {}

    private static final Course COURSE = DemoCourses.workshopLoop();

    private PlantedLogs() {}

    /** A robot as it was set up and works: one sensor or two, any lead, lag, track width and loop that a school's robot has. */
    static Setup sound(SplittableRandom random) {
        while (true) {
            Setup base = random.nextBoolean() ? Setups.pair() : Setups.edge();
            double lead = random.nextDouble(40, 80);
            List<Sensor> sensors = base.robot().sensors().stream()
                    .map(s -> s.withPlace(lead, s.leftMm()))
                    .toList();
            double periodS = random.nextDouble(0.006, 0.014);
            Setup drawn = base.withRobot(base.robot().withSensors(sensors))
                    .withDrive(base.robot()
                            .drive()
                            .withLagS(random.nextDouble(0.02, 0.07))
                            .withTrackWidthMm(random.nextDouble(100, 150))
                            .withFreeSpeedMmPerS(random.nextDouble(450, 700)))
                    .withLoop(new Loop(periodS, random.nextDouble(0.4, 1.5) * periodS));
            Setup at = drawn.withLaw(drawn.law().withBaseCommand(random.nextDouble(30, 45)));
            double onset =
                    LaneReport.of(at).wiggleWithKdTwiceKp().map(w -> w.kp()).orElse(0.0);
            double floor = BendFloor.kp(at);
            if (onset > 2.2 * floor) {
                double kp = Math.pow(onset, 0.45) * Math.pow(floor, 0.55);
                return gains(at, kp, 2 * kp);
            }
        }
    }

    static Setup gains(Setup setup, double kp, double kd) {
        return setup.withLaw(setup.law().withGains(kp, 0, kd));
    }

    static Planted sound(Setup setup, long seed) {
        return drive(setup, setup, seed, 0.02, 0, 1);
    }

    static Planted drive(Setup real, Setup believed, long seed, double jitter, double mismatch, double battery) {
        Trace trace = new Trace();
        Start start = new Start(2, 0.02, new Variation(battery, 1, mismatch, 0, 1, 1, 1, jitter), seed);
        Twin.asProgrammed(Track.of(COURSE, real), believed.withLoop(real.robot().loop()), start, trace);
        return new Planted(Logs.of(trace, believed), real, believed);
    }

    /** Lines of the log that never came. */
    static RunLog without(RunLog log, IntPredicate lost) {
        List<Integer> kept = new ArrayList<>();
        for (int i = 0; i < log.size(); i++) {
            if (!lost.test(i)) {
                kept.add(i);
            }
        }
        double[] tS = kept.stream().mapToDouble(log::tS).toArray();
        double[][] readings = new double[log.sensors().size()][];
        for (int k = 0; k < readings.length; k++) {
            int sensor = k;
            readings[k] = kept.stream().mapToDouble(i -> log.reading(i, sensor)).toArray();
        }
        double[][] columns = new double[RunLog.Column.values().length][];
        for (RunLog.Column column : RunLog.Column.values()) {
            double[] values = log.column(column).orElseThrow();
            columns[column.ordinal()] =
                    kept.stream().mapToDouble(i -> values[i]).toArray();
        }
        return new RunLog(tS, log.sensors(), readings, columns);
    }

    /** What can be planted. */
    enum Kind {
        SWAPPED,
        WRONG_EDGE,
        STUCK,
        GLARE,
        LEVELS,
        SLOW_LOOP,
        UNEVEN_LOOP,
        LOST_PACKETS,
        LOW_BATTERY,
        UNEVEN_WHEELS,
        LAG,
        NO_DAMPING,
        TOO_SHARP,
        TOO_SOFT;

        Planted plant(SplittableRandom random) {
            Setup sound = drawn(random);
            long seed = random.nextLong();
            Loop loop = sound.robot().loop();
            double lag = sound.robot().drive().lagS();
            switch (this) {
                case SWAPPED:
                    return swapped(sound, seed);
                case WRONG_EDGE:
                    return drive(sound.withLaw(sound.law().withSide(Side.LEFT)), sound, seed, 0.02, 0, 1);
                case STUCK:
                    int which = random.nextInt(sound.robot().sensors().size());
                    Sensor one = sound.robot().sensors().get(which);
                    double at = random.nextDouble(one.dark(), one.light());
                    return drive(
                            sound.withRobot(sound.robot().withSensor(which, one.withSurfaces(at, at + 1e-3, 0))),
                            sound,
                            seed,
                            0.02,
                            0,
                            1);
                case GLARE:
                    return glare(PlantedLogs.sound(sound, seed), random);
                case LEVELS:
                    return drive(lit(sound, random.nextDouble(1.22, 1.35)), sound, seed, 0.02, 0, 1);
                case SLOW_LOOP:
                    double times = random.nextDouble(1.4, 1.9);
                    return drive(
                            sound.withLoop(new Loop(times * loop.periodS(), loop.delayS())), sound, seed, 0.02, 0, 1);
                case UNEVEN_LOOP:
                    return drive(sound, sound, seed, 0.24, 0, 1);
                case LOST_PACKETS:
                    Planted whole = PlantedLogs.sound(sound, seed);
                    double share = random.nextDouble(0.1, 0.3);
                    return new Planted(without(whole.log(), i -> random.nextDouble() < share), sound, sound);
                case LOW_BATTERY:
                    return drive(sound, sound, seed, 0.02, 0, random.nextDouble(0.65, 0.78));
                case UNEVEN_WHEELS:
                    double more = random.nextDouble(0.1, 0.2);
                    return drive(sound, sound, seed, 0.02, random.nextBoolean() ? more : -more, 1);
                case LAG:
                    return drive(
                            sound.withDrive(sound.robot().drive().withLagS(lag + random.nextDouble(0.035, 0.065))),
                            sound,
                            seed,
                            0.02,
                            0,
                            1);
                case NO_DAMPING:
                    double onset = LaneReport.of(sound).wiggle().orElseThrow().kp();
                    return PlantedLogs.sound(gains(sound, random.nextDouble(1.3, 1.8) * onset, 0), seed);
                case TOO_SHARP:
                    double kp = random.nextDouble(1.3, 1.8)
                            * LaneReport.of(sound)
                                    .wiggleWithKdTwiceKp()
                                    .orElseThrow()
                                    .kp();
                    return PlantedLogs.sound(gains(sound, kp, 2 * kp), seed);
                case TOO_SOFT:
                    double soft = random.nextDouble(0.3, 0.8) * BendFloor.kp(sound);
                    return PlantedLogs.sound(gains(sound, soft, 2 * soft), seed);
                default:
                    throw new IllegalStateException(name());
            }
        }

        private Setup drawn(SplittableRandom random) {
            while (true) {
                Setup setup = PlantedLogs.sound(random);
                boolean pair = setup.law().signal().straddles();
                // One sensor on its edge holds its target in any light: only two tell that their levels are not the
                // table's.
                boolean fits = this == SWAPPED || this == LEVELS ? pair : this != WRONG_EDGE || !pair;
                boolean wiggles =
                        this != NO_DAMPING || LaneReport.of(setup).wiggle().isPresent();
                if (fits && wiggles) {
                    return setup;
                }
            }
        }

        /** The program calls the one on the right left: what it logs is of a robot that steers right by an error of the wrong sign. */
        private static Planted swapped(Setup sound, long seed) {
            Trace trace = new Trace();
            Start start = new Start(2, 0.02, new Variation(1, 1, 0, 0, 1, 1, 1, 0.02), seed);
            Twin.withSensorsSwapped(Track.of(COURSE, sound), sound, start, trace);
            RunLog log = Logs.of(trace, sound);
            double[][] columns = new double[RunLog.Column.values().length][];
            for (RunLog.Column column : RunLog.Column.values()) {
                columns[column.ordinal()] = log.column(column).orElseThrow();
            }
            double[] error = columns[RunLog.Column.ERROR.ordinal()];
            Arrays.setAll(error, i -> -error[i]);
            double[] tS = new double[log.size()];
            Arrays.setAll(tS, log::tS);
            double[][] readings = {log.readings(1), log.readings(0)};
            return new Planted(new RunLog(tS, log.sensors(), readings, columns), sound, sound);
        }

        private static Setup lit(Setup setup, double times) {
            List<Sensor> sensors = setup.robot().sensors().stream()
                    .map(s -> s.withSurfaces(s.dark() * times, s.light() * times, s.noise()))
                    .toList();
            return setup.withRobot(setup.robot().withSensors(sensors));
        }

        /** A lamp mirrored in the mat: all readings far up for some ticks, in two places. */
        private static Planted glare(Planted run, SplittableRandom random) {
            RunLog log = run.log();
            double[] tS = new double[log.size()];
            double[][] readings = new double[log.sensors().size()][];
            for (int i = 0; i < readings.length; i++) {
                readings[i] = log.readings(i);
            }
            for (int i = 0; i < tS.length; i++) {
                tS[i] = log.tS(i);
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
            return new Planted(new RunLog(tS, log.sensors(), readings, columns), run.real(), run.believed());
        }
    }
}
