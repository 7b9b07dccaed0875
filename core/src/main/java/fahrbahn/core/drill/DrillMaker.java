package fahrbahn.core.drill;

import fahrbahn.core.drill.Drill.DrillRun;
import fahrbahn.core.drill.OwnEye.Seen;
import fahrbahn.core.job.CancelledException;
import fahrbahn.core.job.Job;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.runlog.RunLog;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.TickSink;
import fahrbahn.core.twin.Trace;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import fahrbahn.core.twin.Variation;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** Draws drills: a robot nobody has seen before, a fault planted in it, and what that shows. */
public final class DrillMaker {
    /** Robots that are drawn until one shows its fault; most do at once. */
    private static final int MOST_TRIES = 30;

    private static final int LAPS = 4;

    private DrillMaker() {}

    /**
     * @param seed the same seed and fault give the same drill, another one another robot
     * @throws CancelledException when the job asked to stop
     * @throws IllegalStateException when no robot of {@link #MOST_TRIES} shows the fault
     */
    public static Drill draw(long seed, DrillFault fault, Job job) {
        Random random = new Random(31 * seed + fault.ordinal());
        for (int i = 0; i < MOST_TRIES; i++) {
            if (job.cancelled()) {
                throw new CancelledException();
            }
            DrillRobot robot = DrillRobot.draw(random, fault);
            Optional<Drill> drill = fault.held() ? held(seed, fault, robot, random) : run(seed, fault, robot, random);
            if (drill.isPresent()) {
                return drill.get();
            }
        }
        throw new IllegalStateException("no robot of " + MOST_TRIES + " shows " + fault);
    }

    private static Optional<Drill> run(long seed, DrillFault fault, DrillRobot robot, Random random) {
        Course table = DemoCourses.workshopLoop();
        Track track = Track.of(table, robot.real());
        Driven driven = (lap, lapSeed, sink) -> {
            Setup program = robot.believed().withLoop(robot.real().robot().loop());
            Start start = start(robot, lap, lapSeed);
            return robot.swapped()
                    ? Twin.withSensorsSwapped(track, program, start, sink)
                    : Twin.asProgrammed(track, program, start, sink);
        };
        Trace trace = new Trace();
        long runSeed = random.nextLong();
        RunResult result = driven.run(0, runSeed, trace);
        List<Double> laps = new ArrayList<>(List.of(result.timeS()));
        for (int lap = 1; lap < LAPS; lap++) {
            laps.add(driven.run(lap, runSeed + lap, TickSink.NONE).timeS());
        }
        RunLog log = log(trace, robot.believed(), robot.swapped());
        if (log.size() <= RunLog.LEAST_TICKS) {
            return Optional.empty();
        }
        if (fault == DrillFault.GLARE) {
            log = glare(log, robot.believed(), random);
        }
        double[] x = new double[trace.size()];
        double[] y = new double[trace.size()];
        Arrays.setAll(x, trace::xMm);
        Arrays.setAll(y, trace::yMm);
        DrillRun run = new DrillRun(log, x, y, laps, result.completed());
        double nominalS = table.path().lengthMm() / robot.believed().speedMmPerS();
        return OwnEye.run(run, robot.believed(), nominalS)
                .filter(seen -> seen.fault() == fault)
                .map(seen -> new Drill(seed, fault, robot.believed(), Optional.of(run), List.of(), seen.evidence()));
    }

    private static Start start(DrillRobot robot, int lap, long seed) {
        double battery = robot.batteryShare() * Math.pow(robot.batteryPerLap(), lap);
        return new Start(2, 0.02, new Variation(battery, 1, robot.mismatchShare(), 0, 1, 1, 1, 0.02), seed);
    }

    private interface Driven {
        RunResult run(int lap, long seed, TickSink sink);
    }

    /** @param swapped whether each sensor's readings stand in the column of the other, and the error is the other way */
    private static RunLog log(Trace trace, Setup setup, boolean swapped) {
        int n = trace.size();
        double[] tS = new double[n];
        double[][] readings = new double[setup.lawSensors().size()][n];
        double[][] columns = new double[RunLog.Column.values().length][n];
        for (int i = 0; i < n; i++) {
            tS[i] = trace.tS(i);
            for (int k = 0; k < readings.length; k++) {
                readings[swapped ? readings.length - 1 - k : k][i] = trace.reading(i, k);
            }
            columns[RunLog.Column.ERROR.ordinal()][i] = swapped ? -trace.error(i) : trace.error(i);
            columns[RunLog.Column.STEERING.ordinal()][i] = trace.steering(i);
            columns[RunLog.Column.LEFT.ordinal()][i] = trace.leftCommand(i);
            columns[RunLog.Column.RIGHT.ordinal()][i] = trace.rightCommand(i);
        }
        return new RunLog(tS, setup.lawSensors().stream().map(Sensor::name).toList(), readings, columns);
    }

    /** A lamp mirrored in the mat: all readings far up for some ticks, in two places. */
    private static RunLog glare(RunLog log, Setup setup, Random random) {
        double[] tS = new double[log.size()];
        Arrays.setAll(tS, log::tS);
        double[][] readings = new double[log.sensors().size()][];
        for (int i = 0; i < readings.length; i++) {
            readings[i] = log.readings(i);
        }
        for (int place = 0; place < 2; place++) {
            int from = (int) ((0.2 + 0.3 * place + 0.2 * random.nextDouble()) * log.size());
            for (int tick = from; tick < Math.min(log.size(), from + 5); tick++) {
                for (int i = 0; i < readings.length; i++) {
                    readings[i][tick] += 0.9 * setup.lawSensors().get(i).contrast();
                }
            }
        }
        double[][] columns = new double[RunLog.Column.values().length][];
        for (RunLog.Column column : RunLog.Column.values()) {
            columns[column.ordinal()] = log.column(column).orElse(null);
        }
        return new RunLog(tS, log.sensors(), readings, columns);
    }

    private static Optional<Drill> held(long seed, DrillFault fault, DrillRobot robot, Random random) {
        List<Capture> captures = HeldReadings.draw(robot.believed(), fault, random);
        return OwnEye.held(captures, robot.believed())
                .filter(seen -> seen.fault() == fault)
                .map(Seen::evidence)
                .map(evidence -> new Drill(seed, fault, robot.believed(), Optional.empty(), captures, evidence));
    }
}
