package fahrbahn.core.response;

/**
 * What an error curve offers the robot that rides on it. Ranges are offsets of the law's point from the line's centre, left
 * positive.
 *
 * @param guided between the two points where the curve folds over, or has gone flat: inside it more offset shows more error
 * @param straight part round the riding point where the curve keeps to its straight fit
 * @param ripplePercent largest departure from the straight fit between the fold-over points, percent of the curve's range
 * @param blind round the riding point, where the error is too small to notice; narrow unless sensors sit wide of the line
 * @param reach beyond it the error no longer tells the side: no sensor sees the line
 */
public record CurveFeatures(
        double rideOffsetMm,
        double slopePerMm,
        Range guided,
        Range straight,
        double ripplePercent,
        Range blind,
        Range reach) {
    /** The curve keeps straight as long as it departs from the fit by less than this share of its range: our choice. */
    private static final double STRAIGHT_SHARE = 0.05;

    /** Q(2): what one sensor shows two sigmas off an edge. Less than this share of half the range goes unnoticed. */
    private static final double UNNOTICED_SHARE = 0.0228;

    /** A slope this small a share of the steepest is flat. */
    private static final double FLAT_SHARE = 1e-3;

    private static final double BAND_SHARE = 0.1;

    private static final int POINTS = 1201;

    /** An interval of offsets, low to high. */
    public record Range(double lowMm, double highMm) {
        public double widthMm() {
            return highMm - lowMm;
        }
    }

    /**
     * True when the blind band is a band and not the width of a root: any curve goes unnoticed for a twentieth of its range about its
     * middle.
     */
    public boolean hasBlindBand() {
        return blind.widthMm() > BAND_SHARE * guided.widthMm();
    }

    /** Reads the features off samples of the curve, some 0.05 mm apart on a usual layout: that is how exact the ranges are. */
    public static CurveFeatures of(ErrorCurve curve) {
        double ride = curve.rideOffsetMm();
        double out = curve.outMm() + Math.abs(ride);
        double stepMm = 2 * out / (POINTS - 1);
        double[] error = new double[POINTS];
        double least = 0;
        double most = 0;
        for (int i = 0; i < POINTS; i++) {
            error[i] = curve.errorAt(ride - out + stepMm * i);
            least = Math.min(least, error[i]);
            most = Math.max(most, error[i]);
        }
        Samples samples = new Samples(error, stepMm, ride, most - least);
        double unnoticed = UNNOTICED_SHARE * (most - least) / 2;
        int[] guided = samples.guided();
        int[] straight = samples.straight(guided);
        return new CurveFeatures(
                ride,
                curve.slopePerMm(),
                samples.range(guided),
                samples.range(straight),
                100 * samples.departure(guided[0], guided[1]) / (most - least),
                samples.range(samples.around(unnoticed, false)),
                samples.range(samples.around(unnoticed, true)));
    }

    private record Samples(double[] error, double stepMm, double rideMm, double range) {
        int middle() {
            return error.length / 2;
        }

        Range range(int[] ends) {
            return new Range(rideMm + stepMm * (ends[0] - middle()), rideMm + stepMm * (ends[1] - middle()));
        }

        /** From the riding point outwards until the slope turns round or has all but gone. */
        int[] guided() {
            double steepest = 0;
            for (int i = 1; i < error.length; i++) {
                steepest = Math.max(steepest, Math.abs(error[i] - error[i - 1]));
            }
            // The slope's sign from one side of the curve to the other: on a blind band it is flat in the middle as
            // well.
            int low = middle();
            int high = middle();
            double sign = Math.signum(error[fromMiddle(1)] - error[fromMiddle(-1)]);
            double flat = FLAT_SHARE * steepest;
            int blindLow = around(UNNOTICED_SHARE * range / 2, false)[0];
            int blindHigh = around(UNNOTICED_SHARE * range / 2, false)[1];
            while (high < error.length - 1 && (high < blindHigh || sign * (error[high + 1] - error[high]) > flat)) {
                high++;
            }
            while (low > 0 && (low > blindLow || sign * (error[low] - error[low - 1]) > flat)) {
                low--;
            }
            return new int[] {low, high};
        }

        /** The sample to one side of the middle at which the error is first noticed. */
        private int fromMiddle(int way) {
            int i = middle();
            while (i > 0 && i < error.length - 1 && Math.abs(error[i]) < UNNOTICED_SHARE * range / 2) {
                i += way;
            }
            return i;
        }

        /** The widest window, even to both sides as far as the guided range goes, that keeps to its straight fit. */
        int[] straight(int[] guided) {
            int[] best = {middle(), middle()};
            for (int half = 1; half < middle(); half++) {
                int low = Math.max(guided[0], middle() - half);
                int high = Math.min(guided[1], middle() + half);
                if (departure(low, high) > STRAIGHT_SHARE * range) {
                    break;
                }
                best = new int[] {low, high};
            }
            return best;
        }

        /** Largest distance of the samples from the straight line that fits them best by least squares. */
        double departure(int low, int high) {
            int count = high - low + 1;
            double centre = (low + high) / 2.0;
            double sum = 0;
            double moment = 0;
            double spread = 0;
            for (int i = low; i <= high; i++) {
                sum += error[i];
                moment += (i - centre) * error[i];
                spread += (i - centre) * (i - centre);
            }
            double slope = spread == 0 ? 0 : moment / spread;
            double largest = 0;
            for (int i = low; i <= high; i++) {
                largest = Math.max(largest, Math.abs(error[i] - sum / count - slope * (i - centre)));
            }
            return largest;
        }

        /**
         * The stretch round the middle with errors up to a size: the inmost such, or with {@code outmost} up to the last place
         * on each side where the error is larger.
         */
        int[] around(double size, boolean outmost) {
            int low = outmost ? 0 : middle();
            int high = outmost ? error.length - 1 : middle();
            if (outmost) {
                while (low < middle() && Math.abs(error[low]) <= size) {
                    low++;
                }
                while (high > middle() && Math.abs(error[high]) <= size) {
                    high--;
                }
            } else {
                while (low > 0 && Math.abs(error[low - 1]) <= size) {
                    low--;
                }
                while (high < error.length - 1 && Math.abs(error[high + 1]) <= size) {
                    high++;
                }
            }
            return new int[] {low, high};
        }
    }
}
