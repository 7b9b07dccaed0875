package fahrbahn.core.levels;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.readings.SurfaceStats;
import fahrbahn.core.response.Spot;

/**
 * The levels between a dark and a light surface for one sensor.
 *
 * @param dark cleaned readings on dark
 * @param light cleaned readings on light; its mean differs from that of dark
 */
public record Levels(SurfaceStats dark, SurfaceStats light) {
    /** Reach of the band into each surface: {@code Q(z) = 1e-4}, one reading in ten thousand falls outside. */
    static final double BAND_SIGMAS = 3.7190164854557084;

    /** Readings of a surface from which on their scatter is known to a quarter (one over the root of twice as many). */
    private static final int FEW = 10;

    public Levels {
        if (!(dark.mean() != light.mean())) {
            throw new BadValueException("light.mean", light.mean(), "different from the mean on dark");
        }
    }

    /** +1 when light reads higher than dark. */
    private int sign() {
        return light.mean() > dark.mean() ? 1 : -1;
    }

    /** Readings of both surfaces, those left out included. */
    public int readings() {
        return dark.n() + light.n();
    }

    public double contrast() {
        return Math.abs(light.mean() - dark.mean());
    }

    /** Whether a surface has so few readings that their scatter says next to nothing: then no level leaves the midpoint. */
    public boolean few() {
        return Math.min(dark.n(), light.n()) < FEW;
    }

    /** The common school: halfway between the means. */
    public double midpoint() {
        return (dark.mean() + light.mean()) / 2;
    }

    /**
     * Where the two densities cross between the means: fewest misreads when dark and light are met equally often. When one
     * surface scatters so much that they do not cross between the means, the better of the two means and the midpoint. The midpoint where there
     * are {@link #few()} readings.
     */
    public double bestLevel() {
        if (few()) {
            return midpoint();
        }
        double a = dark.mean();
        double b = light.mean();
        if (logDensityRatio(a) > 0 && logDensityRatio(b) < 0) {
            return crossing(a, b);
        }
        double best = midpoint();
        for (double other : new double[] {a, b}) {
            best = misread(other) < misread(best) ? other : best;
        }
        return best;
    }

    /** Log of the density of dark over the density of light, but for a constant both share. */
    private double logDensityRatio(double level) {
        double fromDark = (level - dark.mean()) / dark.sd();
        double fromLight = (level - light.mean()) / light.sd();
        return (fromLight * fromLight - fromDark * fromDark) / 2 + Math.log(light.sd() / dark.sd());
    }

    private double crossing(double positiveEnd, double negativeEnd) {
        double above = positiveEnd;
        double below = negativeEnd;
        double middle = (above + below) / 2;
        // Until the doubles themselves are exhausted: at most some sixty halvings, and no tolerance to choose.
        while (middle != above && middle != below) {
            if (logDensityRatio(middle) > 0) {
                above = middle;
            } else {
                below = middle;
            }
            middle = (above + below) / 2;
        }
        return middle;
    }

    /**
     * Chance that one reading falls on the wrong side of a level, dark and light met equally often, by the normal tails. It ranks levels;
     * {@link Misreads} says what can be claimed.
     */
    public double misread(double level) {
        return misread(level, 0);
    }

    private double misread(double level, double shift) {
        double darkMisread = Spot.upperTail(sign() * (level - dark.mean() - shift) / dark.sd());
        double lightMisread = Spot.upperTail(sign() * (light.mean() + shift - level) / light.sd());
        return (darkMisread + lightMisread) / 2;
    }

    /** With every reading, and its scatter, multiplied. */
    private double misreadTimes(double level, double factor) {
        double darkMisread = Spot.upperTail(sign() * (level - factor * dark.mean()) / (factor * dark.sd()));
        double lightMisread = Spot.upperTail(sign() * (factor * light.mean() - level) / (factor * light.sd()));
        return (darkMisread + lightMisread) / 2;
    }

    /**
     * Largest share by which all readings may grow or shrink that keeps misreads at this level below a chance: what a brighter or dimmer lamp
     * may do before the level fails. 0 when it fails already, 1 when nothing up to twice or none of the light makes it fail.
     */
    public double factorMargin(double level, double chance) {
        double margin = 1;
        for (int way : new int[] {1, -1}) {
            double holds = 0;
            double fails = 1;
            while (fails - holds > 1e-6) {
                double middle = (holds + fails) / 2;
                if (misreadTimes(level, 1 + way * middle) < chance) {
                    holds = middle;
                } else {
                    fails = middle;
                }
            }
            margin = Math.min(margin, holds);
        }
        return margin;
    }

    /** End of the band next to dark: almost no reading on dark lies beyond it towards light. */
    public double bandDark() {
        return dark.mean() + sign() * BAND_SIGMAS * dark.sd();
    }

    /** End of the band next to light: almost no reading on light lies beyond it towards dark. */
    public double bandLight() {
        return light.mean() - sign() * BAND_SIGMAS * light.sd();
    }

    /** False when the two ends cross: the surfaces are too alike for a band. */
    public boolean bandHolds() {
        return sign() * (bandLight() - bandDark()) > 0;
    }

    /** Separation d' of the surfaces: contrast over the root mean square of the two standard deviations. */
    public double separation() {
        return contrast() / Math.sqrt((dark.sd() * dark.sd() + light.sd() * light.sd()) / 2);
    }

    /**
     * Largest shift of all readings, either way, that keeps misreads at this level below a chance: what other light or height
     * may do before the level fails. 0 when the level fails already.
     *
     * @param chance above 0, below a half
     */
    public double shiftMargin(double level, double chance) {
        double margin = contrast();
        for (int way : new int[] {1, -1}) {
            double holds = 0;
            double fails = contrast();
            while (fails - holds > 1e-6 * contrast()) {
                double middle = (holds + fails) / 2;
                if (misread(level, way * middle) < chance) {
                    holds = middle;
                } else {
                    fails = middle;
                }
            }
            margin = Math.min(margin, holds);
        }
        return margin;
    }
}
