package fahrbahn.app.drive;

import fahrbahn.app.drive.run.Drive;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.trace.Trace;
import fahrbahn.pen.Chart;
import fahrbahn.pen.TracesChart;
import fahrbahn.pen.TracesChart.Series;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** The traces of a run, each quantity over the same time. */
public final class RunCharts {
    private static final double[] WHOLE = {};
    private static final double[][] DASHES = {WHOLE, {7, 4}, {2, 3}, {9, 3, 2, 3}};
    private static final String[] INKS = {"ink-left", "ink-right", "ink-best", "ink-curve"};

    private final Drive drive;
    private final Trace trace;
    private final double[] tS;
    private final double[] eventsS;

    public RunCharts(Drive drive) {
        this.drive = drive;
        this.trace = drive.trace();
        this.tS = new double[trace.size()];
        for (int i = 0; i < tS.length; i++) {
            tS[i] = trace.tS(i);
        }
        this.eventsS = ReplayWords.times(drive).stream().mapToDouble(s -> s).toArray();
    }

    /** What the sensors of the law and the emergency sensors read, in their own numbers. */
    Chart readings() {
        List<Sensor> sensors = Stream.concat(drive.setup().lawSensors().stream(), drive.setup().outerSensors().stream())
                .toList();
        List<Series> series = new ArrayList<>();
        for (int i = 0; i < sensors.size(); i++) {
            int sensor = i;
            series.add(new Series(
                    sensors.get(i).name(),
                    INKS[i % INKS.length],
                    DASHES[i / INKS.length % DASHES.length],
                    tick -> trace.reading(tick, sensor)));
        }
        return new TracesChart("Readings", "readings", series, false, tS, eventsS);
    }

    /** The steering, and what each gain gives of it. */
    public Chart steering() {
        List<Series> series = new ArrayList<>(List.of(
                new Series("steering", "ink-edge", WHOLE, trace::steering),
                new Series("by Kp", "ink-left", DASHES[1], trace::proportional),
                new Series("by Kd", "ink-right", DASHES[2], trace::derivative)));
        if (drive.setup().law().ki() != 0) {
            series.add(new Series("by Ki", "ink-best", DASHES[3], trace::integral));
        }
        return new TracesChart("Steering", "commands", series, true, tS, eventsS);
    }

    /** What the law works on: how far its readings are from its target, in the numbers of its program. */
    Chart error() {
        return new TracesChart(
                "Error", "error", List.of(new Series("error", "ink-curve", WHOLE, trace::error)), true, tS, eventsS);
    }

    /** How far off its path, beside the error its program sees. */
    Chart offset() {
        return new TracesChart(
                "Distance from the line",
                "mm",
                List.of(new Series("off the line", "ink-best", WHOLE, trace::offsetMm)),
                true,
                tS,
                eventsS);
    }

    public Chart wheels() {
        return new TracesChart(
                "Wheels",
                "mm/s",
                List.of(
                        new Series("left wheel", "ink-left", WHOLE, trace::leftMmPerS),
                        new Series("right wheel", "ink-right", DASHES[1], trace::rightMmPerS)),
                false,
                tS,
                eventsS);
    }
}
