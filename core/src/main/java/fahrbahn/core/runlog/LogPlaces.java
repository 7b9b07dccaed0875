package fahrbahn.core.runlog;

import fahrbahn.core.response.CurveFeatures;
import fahrbahn.core.response.ErrorCurve;
import fahrbahn.core.setup.Setup;
import java.util.Arrays;

/**
 * Where the sensors were, from the errors.
 *
 * @param mm to the left of the ridden path; NaN where they tell too little
 * @param noiseTimes how much noisier each is than one in the middle, where the curve is steepest
 */
record LogPlaces(double[] mm, double[] noiseTimes) {
    private static final int STEPS = 400;

    /** Of the most error there is: beyond, the sensors tell little of the place. */
    private static final double INSIDE_SHARE = 0.9;

    static LogPlaces of(double[] error, Setup setup) {
        ErrorCurve curve = ErrorCurve.of(setup);
        CurveFeatures.Range guided = CurveFeatures.of(curve).guided();
        double ride = curve.rideOffsetMm();
        double[] at = new double[STEPS + 1];
        double[] errors = new double[STEPS + 1];
        for (int i = 0; i <= STEPS; i++) {
            at[i] = guided.lowMm() + (guided.highMm() - guided.lowMm()) * i / STEPS;
            errors[i] = curve.errorAt(at[i]);
        }
        double low = INSIDE_SHARE * Math.min(errors[0], errors[STEPS]);
        double high = INSIDE_SHARE * Math.max(errors[0], errors[STEPS]);
        boolean rising = errors[STEPS] > errors[0];
        double[] mm = new double[error.length];
        double[] noiseTimes = new double[error.length];
        double middle = steepness(at, errors, ride);
        for (int i = 0; i < mm.length; i++) {
            boolean inside = error[i] > low && error[i] < high;
            mm[i] = inside ? inverse(at, errors, rising, error[i]) - ride : Double.NaN;
            noiseTimes[i] = inside ? middle / steepness(at, errors, ride + mm[i]) : 1;
        }
        return new LogPlaces(mm, noiseTimes);
    }

    /** Looks that tell a place, of those at ticks that are used. */
    long looks(boolean[] used) {
        long looks = 0;
        for (int i = 0; i < mm.length; i++) {
            looks += used[i] && !Double.isNaN(mm[i]) ? 1 : 0;
        }
        return looks;
    }

    /** Error per mm at a place. */
    private static double steepness(double[] at, double[] errors, double mm) {
        double stepMm = at[1] - at[0];
        int i = (int) Math.max(1, Math.min(STEPS - 1, Math.rint((mm - at[0]) / stepMm)));
        return Math.abs(errors[i + 1] - errors[i - 1]) / (2 * stepMm);
    }

    private static double inverse(double[] at, double[] errors, boolean rising, double error) {
        int low = 0;
        int high = errors.length - 1;
        while (high - low > 1) {
            int middle = (low + high) / 2;
            if (errors[middle] < error == rising) {
                low = middle;
            } else {
                high = middle;
            }
        }
        double span = errors[high] - errors[low];
        return at[low] + (span == 0 ? 0 : (at[high] - at[low]) * (error - errors[low]) / span);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof LogPlaces that && Arrays.equals(mm, that.mm);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(mm);
    }
}
