package fahrbahn.core.drill;

import fahrbahn.core.drill.Drill.DrillRun;
import fahrbahn.core.drill.OwnEye.Seen;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.runlog.RunLog;
import fahrbahn.core.sensing.Variation;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.trace.TickSink;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * What a robot of a drill shows: driven by the twin, or held still.
 *
 * @param nominalS of a lap at the speed its team believes in
 */
record Shown(Optional<DrillRun> run, List<Capture> held, Setup believed, double nominalS) {
    private static final int LAPS = 4;

    /** Of a lap of glare: how much of the contrast is added, and for how many ticks. */
    private static final double GLARE_SHARE = 0.9;

    private static final int GLARE_TICKS = 5;

    /** Empty when it was lost before there is anything to judge. @param seed the same for what is to be compared */
    static Optional<Shown> of(DrillRobot robot, boolean still, long seed) {
        if (still) {
            List<Capture> captures = HeldReadings.draw(robot.believed(), robot.spoilt(), new Random(seed));
            return Optional.of(new Shown(Optional.empty(), captures, robot.believed(), Double.NaN));
        }
        return driven(robot, seed);
    }

    /** What our own analysis sees in it. */
    Optional<Seen> seen() {
        return run.map(r -> OwnEye.run(r, believed, nominalS)).orElseGet(() -> OwnEye.held(held, believed));
    }

    private static Optional<Shown> driven(DrillRobot robot, long seed) {
        Course table = DemoCourses.workshopLoop();
        Track track = Track.of(table, robot.real());
        Trace trace = new Trace();
        RunResult result = lap(robot, track, 0, seed, trace);
        List<Double> laps = new ArrayList<>(List.of(result.timeS()));
        int cameRound = result.completed() ? 1 : 0;
        for (int lap = 1; lap < LAPS; lap++) {
            RunResult later = lap(robot, track, lap, seed + lap, TickSink.NONE);
            laps.add(later.timeS());
            cameRound += later.completed() ? 1 : 0;
        }
        RunLog log = log(trace, robot.believed(), robot.swapped());
        if (log.size() <= RunLog.LEAST_TICKS) {
            return Optional.empty();
        }
        if (robot.spoilt().filter(f -> f == DrillFault.GLARE).isPresent()) {
            log = glare(log, robot.believed(), new Random(seed));
        }
        double[] x = new double[trace.size()];
        double[] y = new double[trace.size()];
        Arrays.setAll(x, trace::xMm);
        Arrays.setAll(y, trace::yMm);
        DrillRun run = new DrillRun(log, x, y, laps, result.completed(), cameRound);
        double nominalS = table.path().lengthMm() / robot.believed().speedMmPerS();
        return Optional.of(new Shown(Optional.of(run), List.of(), robot.believed(), nominalS));
    }

    private static RunResult lap(DrillRobot robot, Track track, int lap, long seed, TickSink sink) {
        Setup program = robot.believed().withLoop(robot.real().robot().loop());
        double battery = robot.batteryShare() * Math.pow(robot.batteryPerLap(), lap);
        Start start = new Start(2, 0.02, new Variation(battery, 1, robot.mismatchShare(), 0, 1, 1, 1, 0.02), seed);
        return robot.swapped()
                ? Twin.withSensorsSwapped(track, program, start, sink)
                : Twin.asProgrammed(track, program, start, sink);
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

    /** A lamp mirrored in the mat: all readings far up for some ticks, in two places; it is over before the robot steers. */
    private static RunLog glare(RunLog log, Setup setup, Random random) {
        double[] tS = new double[log.size()];
        Arrays.setAll(tS, log::tS);
        double[][] readings = new double[log.sensors().size()][];
        for (int i = 0; i < readings.length; i++) {
            readings[i] = log.readings(i);
        }
        for (int place = 0; place < 2; place++) {
            int from = (int) ((0.2 + 0.3 * place + 0.2 * random.nextDouble()) * log.size());
            for (int tick = from; tick < Math.min(log.size(), from + GLARE_TICKS); tick++) {
                for (int i = 0; i < readings.length; i++) {
                    readings[i][tick] += GLARE_SHARE * setup.lawSensors().get(i).contrast();
                }
            }
        }
        double[][] columns = new double[RunLog.Column.values().length][];
        for (RunLog.Column column : RunLog.Column.values()) {
            columns[column.ordinal()] = log.column(column).orElse(null);
        }
        return new RunLog(tS, log.sensors(), readings, columns);
    }
}
