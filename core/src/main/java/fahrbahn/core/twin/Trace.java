package fahrbahn.core.twin;

import java.util.Arrays;

/** Every tick of one run, kept for drawing. Filled by one thread, then only read. */
public final class Trace implements TickSink {
    private static final int FIELDS = 7;

    private double[] values = new double[FIELDS * 1024];
    private int size;

    @Override
    public void tick(
            double tS, double xMm, double yMm, double headingRad, double offsetMm, double error, double steering) {
        int at = FIELDS * size;
        if (at == values.length) {
            values = Arrays.copyOf(values, 2 * values.length);
        }
        values[at] = tS;
        values[at + 1] = xMm;
        values[at + 2] = yMm;
        values[at + 3] = headingRad;
        values[at + 4] = offsetMm;
        values[at + 5] = error;
        values[at + 6] = steering;
        size++;
    }

    public int size() {
        return size;
    }

    /** The latest tick at a time or before it; the first before there was any. */
    public int indexAt(double tS) {
        int low = 0;
        int high = size - 1;
        while (low < high) {
            int middle = (low + high + 1) / 2;
            if (tS(middle) <= tS) {
                low = middle;
            } else {
                high = middle - 1;
            }
        }
        return low;
    }

    public double tS(int i) {
        return values[FIELDS * i];
    }

    public double xMm(int i) {
        return values[FIELDS * i + 1];
    }

    public double yMm(int i) {
        return values[FIELDS * i + 2];
    }

    public double headingRad(int i) {
        return values[FIELDS * i + 3];
    }

    public double offsetMm(int i) {
        return values[FIELDS * i + 4];
    }

    public double error(int i) {
        return values[FIELDS * i + 5];
    }

    public double steering(int i) {
        return values[FIELDS * i + 6];
    }
}
