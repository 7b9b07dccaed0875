package fahrbahn.app.handover.drill;

import fahrbahn.core.drill.Drill;
import fahrbahn.core.drill.Drill.DrillRun;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.runlog.RunLog;
import fahrbahn.core.setup.Sensor;
import fahrbahn.pen.Chart;
import fahrbahn.pen.Pen;
import fahrbahn.pen.Scale;
import fahrbahn.pen.TracesChart;
import fahrbahn.pen.TracesChart.Series;
import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** What a drill shows, drawn. */
final class DrillCharts {
    private static final String[] INKS = {"ink-left", "ink-right"};
    private static final double[][] DASHES = {{}, {5, 4}};

    private DrillCharts() {}

    /** What the sensors read. @param look which part of a run */
    static Chart readings(Drill drill, Look look) {
        return drill.run().map(run -> readings(run, look)).orElseGet(() -> held(drill));
    }

    /**
     * Which part of a run is looked at.
     *
     * @param close a few seconds of it, where each swing is seen; else all of it
     * @param part of the run at which they begin, 0 to 1
     */
    record Look(boolean close, double part) {
        static final Look WHOLE = new Look(false, 0.4);
        private static final double CLOSE_S = 3;
        private static final double STEP = 0.1;

        Look turned() {
            return new Look(!close, part);
        }

        /** Earlier or later. */
        Look moved(int by) {
            return new Look(close, Math.max(0, Math.min(0.9, part + by * STEP)));
        }

        private int from(RunLog log) {
            return close ? (int) (part * log.size()) : 0;
        }

        private int until(RunLog log) {
            int until = from(log);
            double end = close ? log.tS(until) + CLOSE_S : Double.POSITIVE_INFINITY;
            while (until < log.size() && log.tS(until) <= end) {
                until++;
            }
            return until;
        }
    }

    private static Chart readings(DrillRun run, Look look) {
        RunLog log = run.log();
        int from = look.from(log);
        double[] tS = times(log, look);
        List<Series> series = new ArrayList<>();
        for (int i = 0; i < log.sensors().size(); i++) {
            int sensor = i;
            series.add(new Series(
                    log.sensors().get(i),
                    INKS[i % INKS.length],
                    DASHES[i % DASHES.length],
                    tick -> log.reading(from + tick, sensor)));
        }
        return new TracesChart("Readings", "readings", series, false, tS, new double[0]);
    }

    private static double[] times(RunLog log, Look look) {
        int from = look.from(log);
        double[] tS = new double[look.until(log) - from];
        Arrays.setAll(tS, i -> log.tS(from + i));
        return tS;
    }

    /** Error over steering, which is the wilder of the two. */
    static Chart steering(DrillRun run, Look look) {
        RunLog log = run.log();
        int from = look.from(log);
        double[] error = log.column(RunLog.Column.ERROR).orElseThrow();
        double[] steering = log.column(RunLog.Column.STEERING).orElseThrow();
        return new TracesChart(
                "Error and steering",
                "units",
                List.of(
                        new Series("steering", "ink-left", new double[] {5, 4}, tick -> steering[from + tick]),
                        new Series("error", "ink-middle", new double[0], tick -> error[from + tick])),
                true,
                times(log, look),
                new double[0]);
    }

    /** Dark, then light right after it. */
    private static Chart held(Drill drill) {
        Capture dark = drill.held().get(0);
        Capture light = drill.held().get(1);
        int n = dark.readings().size();
        double[] tS = new double[n + light.readings().size()];
        double period = dark.readings().get(1).tS();
        Arrays.setAll(tS, i -> i * period);
        List<Series> series = new ArrayList<>();
        List<Sensor> sensors = drill.believed().robot().sensors();
        for (int i = 0; i < sensors.size(); i++) {
            int sensor = i;
            series.add(new Series(
                    sensors.get(i).name(),
                    INKS[i % INKS.length],
                    DASHES[i % DASHES.length],
                    tick -> tick < n
                            ? dark.readings().get(tick).values()[sensor]
                            : light.readings().get(tick - n).values()[sensor]));
        }
        return new TracesChart("Dark, then light", "readings", series, false, tS, new double[] {n * period});
    }

    /** Its way from above. */
    record Way(DrillRun run) implements Chart {
        private static final Pen.Stroke LINE = new Pen.Stroke("ink-left", 1.6);

        @Override
        public String xLabel() {
            return "mm";
        }

        @Override
        public String yLabel() {
            return "mm";
        }

        @Override
        public String title() {
            return "Its path from above";
        }

        @Override
        public String says() {
            return run.completed()
                    ? "It finished in " + Words.seconds(run.lapsS().get(0)) + "."
                    : "It left the line after " + Words.seconds(run.lapsS().get(0)) + ".";
        }

        @Override
        public Range x() {
            return range(run.xMm());
        }

        @Override
        public Range y() {
            return range(run.yMm());
        }

        private static Range range(double[] values) {
            return new Range(
                    Arrays.stream(values).min().orElse(0) - 60,
                    Arrays.stream(values).max().orElse(0) + 60);
        }

        @Override
        public void draw(Pen pen, Scale scale) {
            double[] x = Arrays.stream(run.xMm()).map(scale::px).toArray();
            double[] y = Arrays.stream(run.yMm()).map(scale::py).toArray();
            pen.line(LINE, x, y);
            pen.dot("ink-robot", x[0], y[0], 4);
            if (!run.completed()) {
                pen.ring(new Pen.Stroke("ink-event", 2), x[x.length - 1], y[y.length - 1], 7);
            }
        }
    }
}
