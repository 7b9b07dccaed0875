package fahrbahn.app.drive.log;

import fahrbahn.app.drive.log.LogModel.Shown;
import fahrbahn.core.runlog.RunLog;
import fahrbahn.core.trace.Trace;
import fahrbahn.pen.Chart;
import fahrbahn.pen.TracesChart;
import fahrbahn.pen.TracesChart.Series;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;

/** A robot's log over its time, and the twin's run laid beside it from the start on. */
final class LogCharts {
    private static final double[] WHOLE = {};
    private static final double[][] DASHES = {WHOLE, {7, 4}, {2, 3}, {9, 3, 2, 3}};
    private static final String[] INKS = {"ink-left", "ink-right", "ink-best", "ink-curve"};

    private final Shown shown;
    private final double[] tS;

    LogCharts(Shown shown) {
        this.shown = shown;
        this.tS = new double[shown.log().size()];
        for (int i = 0; i < tS.length; i++) {
            tS[i] = shown.log().tS(i) - shown.log().tS(0);
        }
    }

    Chart readings() {
        List<Series> series = new ArrayList<>();
        for (int i = 0; i < shown.log().sensors().size(); i++) {
            int sensor = i;
            series.add(new Series(
                    shown.log().sensors().get(i),
                    INKS[i % INKS.length],
                    DASHES[i / INKS.length % DASHES.length],
                    tick -> shown.log().reading(tick, sensor)));
        }
        return chart("Readings", "readings", series, false);
    }

    Optional<Chart> error() {
        return beside("Error", "scale units", RunLog.Column.ERROR, Trace::error);
    }

    Optional<Chart> steering() {
        return beside("Steering", "commands", RunLog.Column.STEERING, Trace::steering);
    }

    private interface OfTwin {
        double at(Trace trace, int tick);
    }

    private Optional<Chart> beside(String what, String unit, RunLog.Column column, OfTwin ofTwin) {
        return shown.log().column(column).map(values -> {
            String name = what.toLowerCase(Locale.ROOT);
            List<Series> series = new ArrayList<>();
            series.add(new Series(name + " of the robot", "ink-edge", WHOLE, tick -> values[tick]));
            shown.twin().ifPresent(twin -> {
                IntToDoubleFunction value = tick -> ofTwin.at(twin, twin.indexAt(tS[tick]));
                series.add(new Series("simulated", "ink-right", DASHES[1], value));
            });
            return chart(what, unit, series, true);
        });
    }

    private Chart chart(String what, String unit, List<Series> series, boolean around) {
        return new TracesChart(what, unit, series, around, tS, new double[0]);
    }
}
