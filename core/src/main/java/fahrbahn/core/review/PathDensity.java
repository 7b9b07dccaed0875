package fahrbahn.core.review;

import fahrbahn.core.raster.TableTop;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trace.Moment;
import fahrbahn.core.trace.TickSink;
import java.util.concurrent.atomic.AtomicIntegerArray;

/** How often the law's point of many runs came through each cell of a table. Filled by many threads, in any order alike. */
public final class PathDensity {
    /** Finer than a line is wide, coarser than a tick's way: no cell on a path is jumped. */
    public static final double CELL_MM = 5;

    private final int columns;
    private final int rows;
    private final double forwardMm;
    private final double leftMm;
    private final AtomicIntegerArray passes;

    public PathDensity(TableTop table, Setup setup) {
        columns = Math.max(1, (int) Math.ceil(table.widthMm() / CELL_MM));
        rows = Math.max(1, (int) Math.ceil(table.heightMm() / CELL_MM));
        forwardMm = setup.leadMm();
        leftMm = setup.lawSensors().stream()
                .mapToDouble(Sensor::leftMm)
                .average()
                .orElseThrow();
        passes = new AtomicIntegerArray(columns * rows);
    }

    /** For one run. */
    TickSink sink() {
        return new OneRun();
    }

    private final class OneRun implements TickSink {
        private int latest = -1;

        @Override
        public void tick(Moment now) {
            double cos = Math.cos(now.headingRad());
            double sin = Math.sin(now.headingRad());
            int column = (int) Math.floor((now.xMm() + forwardMm * cos - leftMm * sin) / CELL_MM);
            int row = (int) Math.floor((now.yMm() + forwardMm * sin + leftMm * cos) / CELL_MM);
            int cell = column >= 0 && column < columns && row >= 0 && row < rows ? row * columns + column : -1;
            if (cell != latest && cell >= 0) {
                passes.incrementAndGet(cell);
            }
            latest = cell;
        }
    }

    public int columns() {
        return columns;
    }

    public int rows() {
        return rows;
    }

    /** Row 0 is that of the table's origin. */
    public int passes(int column, int row) {
        return passes.get(row * columns + column);
    }

    /** Of all cells. */
    public int most() {
        int most = 0;
        for (int i = 0; i < passes.length(); i++) {
            most = Math.max(most, passes.get(i));
        }
        return most;
    }
}
