package fahrbahn.app.live;

import fahrbahn.core.readings.Reading;

/**
 * The last dozen seconds in a ring of {@link #CAPACITY} moments. A fast robot's readings share moments, each of which keeps their
 * least and their largest, so that an hour takes no more memory than a minute and no spike is lost.
 */
public final class LiveTrace {
    public static final int CAPACITY = 1200;

    /** What the whole ring shows, s. */
    private static final double SHOWN_S = 12;

    /** The pace is taken over so many readings. */
    private static final int PACED = 64;

    private double[][] least = new double[0][];
    private double[][] most = new double[0][];
    private int size;
    private int newest = -1;
    private int shared;
    private int perMoment = 1;
    private int counted;
    private long pacedSinceNs;

    void begin(int sensors) {
        least = new double[CAPACITY][sensors];
        most = new double[CAPACITY][sensors];
        size = 0;
        newest = -1;
        shared = 0;
        perMoment = 1;
        counted = 0;
    }

    void clear() {
        begin(0);
    }

    /** @param nowNs any clock that runs evenly, the same for every reading; readings that come in one frame share a time */
    void add(Reading reading, long nowNs) {
        pace(nowNs);
        boolean fresh = shared == 0;
        if (fresh) {
            newest = (newest + 1) % CAPACITY;
            size = Math.min(size + 1, CAPACITY);
        }
        double[] low = least[newest];
        double[] high = most[newest];
        for (int i = 0; i < low.length; i++) {
            double value = reading.value(i);
            low[i] = fresh ? value : Math.min(low[i], value);
            high[i] = fresh ? value : Math.max(high[i], value);
        }
        shared = (shared + 1) % perMoment;
    }

    /** Sooner or later every robot keeps a pace; moments are shared by as many readings as make the ring last. */
    private void pace(long nowNs) {
        if (counted == 0) {
            pacedSinceNs = nowNs;
        }
        counted++;
        double elapsedS = (nowNs - pacedSinceNs) / 1e9;
        if (counted > PACED && elapsedS > 0.5) {
            int wanted = (int) Math.max(1, Math.round(SHOWN_S * counted / elapsedS / CAPACITY));
            // A pace a third off what it was is another pace; less is a stutter of the link.
            if (shared == 0 && Math.abs(wanted - perMoment) > perMoment / 3.0) {
                perMoment = wanted;
            }
            counted = 0;
        }
    }

    /** Moments there are, at most {@link #CAPACITY}. */
    public int size() {
        return size;
    }

    /** @param age 0 for the newest moment */
    public double least(int sensor, int age) {
        return least[Math.floorMod(newest - age, CAPACITY)][sensor];
    }

    /** @param age 0 for the newest moment */
    public double most(int sensor, int age) {
        return most[Math.floorMod(newest - age, CAPACITY)][sensor];
    }
}
