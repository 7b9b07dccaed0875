package fahrbahn.core.runlog;

import fahrbahn.core.check.Check;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** A log as the robot wrote it. Immutable. */
public final class RunLog {
    /** Columns that are no sensors. */
    public enum Column {
        ERROR("error"),
        STEERING("steering"),
        LEFT("left"),
        RIGHT("right");

        private final String word;

        Column(String word) {
            this.word = word;
        }

        /** Its name in the file. */
        public String word() {
            return word;
        }
    }

    /** Fewer ticks tell nothing of a loop. */
    public static final int LEAST_TICKS = 8;

    private final double[] tS;
    private final List<String> sensors;
    private final double[][] readings;
    private final double[][] columns;

    /**
     * @param tS times of the ticks, s; never falling, {@link #LEAST_TICKS} or more
     * @param readings of each sensor, a value a tick
     * @param columns by {@link Column}; null for one that the robot did not write
     */
    public RunLog(double[] tS, List<String> sensors, double[][] readings, double[][] columns) {
        Check.require(tS.length >= LEAST_TICKS, "ticks", tS.length, LEAST_TICKS + " or more");
        for (int i = 1; i < tS.length; i++) {
            Check.require(tS[i] >= tS[i - 1], "tS", tS[i], "not before that of the tick above, " + tS[i - 1]);
        }
        Check.require(tS[tS.length - 1] > tS[0], "tS", tS[0], "times that go on");
        this.tS = tS.clone();
        this.sensors = List.copyOf(sensors);
        this.readings = Arrays.stream(readings).map(double[]::clone).toArray(double[][]::new);
        this.columns =
                Arrays.stream(columns).map(c -> c == null ? null : c.clone()).toArray(double[][]::new);
    }

    public int size() {
        return tS.length;
    }

    public double tS(int tick) {
        return tS[tick];
    }

    /** Names of the sensors' columns. */
    public List<String> sensors() {
        return sensors;
    }

    public double reading(int tick, int sensor) {
        return readings[sensor][tick];
    }

    public double[] readings(int sensor) {
        return readings[sensor].clone();
    }

    /** A column's values; empty when the robot did not write it. */
    public Optional<double[]> column(Column column) {
        return Optional.ofNullable(columns[column.ordinal()]).map(double[]::clone);
    }

    /** What it takes to judge a robot by its log, and this one has not: {@code error}, {@code commands}; empty when it has both. */
    public List<String> missing() {
        List<String> missing = new ArrayList<>();
        if (columns[Column.ERROR.ordinal()] == null) {
            missing.add("error");
        }
        boolean wheels = columns[Column.LEFT.ordinal()] != null && columns[Column.RIGHT.ordinal()] != null;
        if (columns[Column.STEERING.ordinal()] == null && !wheels) {
            missing.add("commands");
        }
        return List.copyOf(missing);
    }

    /** First tick of the second half by time. */
    int middle() {
        double middle = (tS[0] + tS[tS.length - 1]) / 2;
        int at = 0;
        while (tS[at] < middle) {
            at++;
        }
        return at;
    }

    /**
     * What goes to and fro when it wiggles: the error as it was written, else of one sensor its distance from the middle of its range, of more
     * the first less the last. Of neither, nothing.
     */
    Optional<double[]> swinging() {
        Optional<double[]> written = column(Column.ERROR);
        if (written.isPresent() || sensors.isEmpty()) {
            return written;
        }
        double[] first = readings[0];
        if (sensors.size() == 1) {
            double middle = (Arrays.stream(first).min().orElseThrow()
                            + Arrays.stream(first).max().orElseThrow())
                    / 2;
            return Optional.of(Arrays.stream(first).map(r -> r - middle).toArray());
        }
        double[] last = readings[sensors.size() - 1];
        double[] apart = new double[first.length];
        Arrays.setAll(apart, i -> first[i] - last[i]);
        return Optional.of(apart);
    }
}
