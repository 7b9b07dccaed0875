package fahrbahn.core.twin;

import fahrbahn.core.check.Check;

/**
 * How a run begins and what disturbs it.
 *
 * @param offsetMm place of the law's point to the left of the path it should ride
 * @param calm true leaves out noise and rounding
 * @param seed of the noise; the same seed gives the same run
 */
public record Start(double offsetMm, boolean calm, long seed) {
    public Start {
        Check.finite("offsetMm", offsetMm);
    }
}
