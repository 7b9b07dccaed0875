package fahrbahn.core.measuring;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.check.Text;
import fahrbahn.core.readings.RoundedMean;
import java.util.Arrays;

/**
 * One sensor slid across one line: what it reads on ground and line, how steep its spot makes an edge, where it met the line's middle, and
 * how wide the line is. Least squares; a shape of the spot and an exponent of the reading come in where the residuals ask for them.
 *
 * @param ground reading beside the line
 * @param line reading on it
 * @param sigmaMm standard deviation of the Gaussian spot that makes an edge as steep as this one does
 * @param centreMm place of the ruler at which the sensor was over the middle of the line
 * @param widthMm of the line
 * @param scatter standard deviation of the readings about the fit
 * @param leftOut readings left out as outliers
 * @param flatness of the spot: 0 for a Gaussian, 1/4 for a disc, 1/2 for a ring
 * @param exponent of the reading over the share of the line it sees; 1 in proportion
 */
public record SlideFit(
        Measured ground,
        Measured line,
        Measured sigmaMm,
        Measured centreMm,
        Measured widthMm,
        double scatter,
        int leftOut,
        double flatness,
        double exponent) {
    private static final int LEAST_READINGS = 15;

    /** As for captures: Iglewicz and Hoaglin. */
    private static final double OUTLIER_SIGMAS = 3.5 * 1.4826;

    /** What a hand's speed is uneven by from one edge to the other, one standard deviation: our reckoning. */
    private static final double UNEVEN = 0.05;

    /** Residuals that follow each other and are larger than this share of the contrast are no noise. */
    private static final double MISFIT = 0.04;

    private static final double FOLLOWING = 0.5;

    /**
     * @param positionsMm along the ruler, across the line; finite
     * @param readings one for each, finite
     * @throws BadValueException when there are too few readings, no line to be seen among them, or no smooth slide over one line
     */
    public static SlideFit of(double[] positionsMm, double[] readings) {
        return of(positionsMm, readings, false);
    }

    private static SlideFit of(double[] positions, double[] readings, boolean byHand) {
        Check.require(readings.length >= LEAST_READINGS, "readings", readings.length, "at least " + LEAST_READINGS);
        Check.require(positions.length == readings.length, "positions", positions.length, "one for each reading");
        for (int i = 0; i < readings.length; i++) {
            Check.finite("positionMm", positions[i]);
            Check.finite("reading", readings[i]);
        }
        double[] first = SlideLeastSquares.solve(
                        SlideModel.PLAIN, positions, readings, SlideModel.guess(positions, readings), 0)
                .point();
        boolean[] kept = inliers(positions, readings, first);
        double[] x = pick(positions, kept);
        double[] y = pick(readings, kept);
        Check.require(y.length >= LEAST_READINGS, "readings that fit", y.length, "at least " + LEAST_READINGS);
        double cell = byHand ? 0 : placeStep(x);
        SlideChoice choice = SlideChoice.of(x, y, byHand, cell / Math.sqrt(12));
        SlideLeastSquares.Solved best = choice.best();
        refuseMisfit(x, y, best);
        double[] p = best.point();
        double[] e = best.errors();
        int n = y.length;
        // A place read to the next mark smears the edge by the marks' own spread.
        double smear = cell * cell / 12;
        double steep = best.model().steepness(p[2]);
        double sharp = Math.sqrt(Math.max(steep * steep / 4, steep * steep - smear));
        double error = Math.hypot(e[2] * steep / p[2], choice.shapeError());
        return new SlideFit(
                new Measured(p[0], e[0], n),
                new Measured(p[1], e[1], n),
                new Measured(sharp, error, n),
                new Measured(p[3], e[3], n),
                new Measured(p[4], e[4], n),
                best.scatter(),
                readings.length - n,
                choice.flatness(),
                best.model().exponent());
    }

    /** The marks of the ruler that places were read to; 0 where they are finer than a tenth. */
    private static double placeStep(double[] places) {
        double step = RoundedMean.displayStep(places);
        return step < 0.1 ? 0 : step;
    }

    /** What is left follows itself from reading to reading, and is more than noise: no smooth slide over one line. */
    private static void refuseMisfit(double[] x, double[] y, SlideLeastSquares.Solved best) {
        double contrast = Math.abs(best.point()[1] - best.point()[0]);
        if (best.scatter() > MISFIT * contrast && SlideChoice.following(x, y, best) > FOLLOWING) {
            throw new BadValueException(
                    "slide",
                    Text.of(
                            "uneven: readings leave the best curve by %.0f %% of the contrast",
                            100 * best.scatter() / contrast),
                    "slid steadily, from ground across one line and on to ground again");
        }
    }

    /**
     * The same when nobody knows the place but the robot was slid steadily: the line's width is the ruler.
     *
     * @param timesS of the readings
     * @param lineWidthMm by the ruler, above 0
     */
    public static SlideFit timed(double[] timesS, double[] readings, double lineWidthMm) {
        Check.positive("lineWidthMm", lineWidthMm);
        SlideFit inSeconds = of(timesS, readings, true);
        double mmPerS = lineWidthMm / inSeconds.widthMm.value();
        double share = Math.hypot(inSeconds.widthMm.standardError() / inSeconds.widthMm.value(), UNEVEN);
        Measured sigma = inSeconds.sigmaMm;
        double sigmaMm = sigma.value() * mmPerS;
        double sigmaError = Math.hypot(sigma.standardError() * mmPerS, sigmaMm * share);
        Measured centre = inSeconds.centreMm;
        return new SlideFit(
                inSeconds.ground,
                inSeconds.line,
                new Measured(sigmaMm, sigmaError, sigma.entries()),
                new Measured(centre.value() * mmPerS, centre.standardError() * mmPerS, centre.entries()),
                new Measured(lineWidthMm, 0, sigma.entries()),
                inSeconds.scatter,
                inSeconds.leftOut,
                inSeconds.flatness,
                inSeconds.exponent);
    }

    private static boolean[] inliers(double[] x, double[] y, double[] point) {
        double[] far = new double[y.length];
        for (int i = 0; i < far.length; i++) {
            far[i] = Math.abs(y[i] - SlideModel.PLAIN.value(x[i], point));
        }
        double[] sorted = far.clone();
        Arrays.sort(sorted);
        double limit =
                OUTLIER_SIGMAS * Math.max(sorted[sorted.length / 2], LEAST_LIMIT * Math.abs(point[0] - point[1]));
        boolean[] kept = new boolean[y.length];
        for (int i = 0; i < far.length; i++) {
            kept[i] = far[i] <= limit;
        }
        return kept;
    }

    /** A spot that is no Gaussian, or places read off a ruler, leave so much of the contrast at the edges: that is no outlier yet. */
    private static final double LEAST_LIMIT = 0.03;

    private static double[] pick(double[] values, boolean[] kept) {
        double[] picked = new double[values.length];
        int n = 0;
        for (int i = 0; i < values.length; i++) {
            if (kept[i]) {
                picked[n++] = values[i];
            }
        }
        return Arrays.copyOf(picked, n);
    }
}
