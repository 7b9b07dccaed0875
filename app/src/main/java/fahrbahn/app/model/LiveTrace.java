package fahrbahn.app.model;

import fahrbahn.core.readings.Reading;

/** The latest readings in a ring: the memory of an hour is that of the last {@link #CAPACITY} readings. */
public final class LiveTrace {
    public static final int CAPACITY = 1200;

    private double[][] values = new double[0][];
    private int size;
    private int newest = -1;

    void begin(int sensors) {
        values = new double[CAPACITY][sensors];
        size = 0;
        newest = -1;
    }

    void clear() {
        begin(0);
    }

    void add(Reading reading) {
        newest = (newest + 1) % CAPACITY;
        size = Math.min(size + 1, CAPACITY);
        for (int i = 0; i < values[newest].length; i++) {
            values[newest][i] = reading.value(i);
        }
    }

    public int size() {
        return size;
    }

    /** @param age 0 for the newest reading */
    public double value(int sensor, int age) {
        return values[Math.floorMod(newest - age, CAPACITY)][sensor];
    }
}
