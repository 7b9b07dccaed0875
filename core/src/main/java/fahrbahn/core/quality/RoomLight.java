package fahrbahn.core.quality;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.readings.SurfaceStats;

/**
 * Whether the light of the room matters to a sensor: what is left of the contrast when its own lamp is off.
 *
 * @param share contrast with the lamp off over contrast with it on; 0 when only its own lamp counts
 * @param standardError of the share
 * @param leastShiftPercent how far at least the midpoint of dark and light would move, in percent of the contrast, were the room
 *     twice as bright: by half of what the room adds to the contrast, and as much again as it adds to dark
 */
public record RoomLight(double share, double standardError, double leastShiftPercent) {
    /** Below this, twice the light moves the midpoint by less than a fortieth of the contrast. */
    private static final double MATTERS_SHARE = 0.05;

    private static final double KNOWN_SHARE = 0.5;

    public static RoomLight of(SurfaceStats darkOn, SurfaceStats lightOn, SurfaceStats darkOff, SurfaceStats lightOff) {
        double on = lightOn.mean() - darkOn.mean();
        double off = lightOff.mean() - darkOff.mean();
        if (!(on != 0)) {
            throw new BadValueException("contrast with the lamp on", on, "other than 0");
        }
        double share = off / on;
        double error = Math.hypot(error(darkOff, lightOff), share * error(darkOn, lightOn)) / Math.abs(on);
        // What the sensor reads in full darkness is not known, so what the room adds to dark cannot be told apart from
        // it.
        return new RoomLight(share, error, 100 * Math.abs(share) / 2);
    }

    private static double error(SurfaceStats a, SurfaceStats b) {
        return Math.hypot(meanError(a), meanError(b));
    }

    private static double meanError(SurfaceStats stats) {
        return stats.sd() / Math.sqrt(stats.n() - stats.leftOut().size());
    }

    /** Half of the 95 % interval of the share. */
    public double plusMinus() {
        return 1.96 * standardError;
    }

    /** False where the share may be nothing or all of it: then it is no figure to show. */
    public boolean known() {
        return plusMinus() < KNOWN_SHARE;
    }

    /** True when it matters beyond what the scatter could feign. */
    public boolean matters() {
        return Math.abs(share) - 2 * standardError > MATTERS_SHARE;
    }

    /** True when it does not matter, beyond what the scatter could hide. */
    public boolean harmless() {
        return Math.abs(share) + 2 * standardError <= MATTERS_SHARE;
    }
}
