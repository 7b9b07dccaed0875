package fahrbahn.core.marks;

import fahrbahn.core.check.Check;

/**
 * A mark in time: a program believes it after some reads in a row, a loop period apart, while the sensor passes over it.
 *
 * @param reads in a row that it asks for, 1 or more
 * @param periodS from one read to the next
 * @param speedMmPerS at which the sensor passes
 */
public record MarkTiming(int reads, double periodS, double speedMmPerS) {
    public MarkTiming {
        Check.require(reads >= 1, "reads", reads, "1 or more");
        Check.positive("periodS", periodS);
        Check.positive("speedMmPerS", speedMmPerS);
    }

    /** Way the sensor makes meanwhile: so long the mark must be, beside the spot, to be believed whatever the phase, mm. */
    public double needsMm() {
        return reads * periodS * speedMmPerS;
    }

    /**
     * Chance to miss a mark because the reads do not fit: with the phase anywhere, a mark on which the sensor is wholly for a length l holds
     * {@code floor(l/(v T))} reads or one more.
     *
     * @param lengthMm over which a reading shows the mark: its length less what the spot needs, 0 or more
     */
    public double missed(double lengthMm) {
        Check.notNegative("lengthMm", lengthMm);
        return Math.max(0, Math.min(1, reads - lengthMm / (periodS * speedMmPerS)));
    }

    /** Fastest speed at which a mark is never missed for want of reads, mm/s. */
    public double fastestMmPerS(double lengthMm) {
        return lengthMm / (reads * periodS);
    }
}
