package fahrbahn.core.response;

import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;

/**
 * What each pair of a row, counted from the middle outwards, adds to the error of an array: its share of the slope in the middle, and from
 * where to where it is what mostly steers. Of a weighted mean the numerator counts.
 *
 * @param left name of its left sensor
 * @param beside how far from the row's middle it sits, mm
 * @param slopeShare of the error's slope where the robot rides
 * @param leadsFromMm offset from which on it adds more than any other pair; NaN where none
 * @param reachesMm offset beyond which it adds nothing to speak of
 */
public record PairShares(
        String left, String right, double beside, double slopeShare, double leadsFromMm, double reachesMm) {
    private static final double STEP_MM = 0.1;

    /** Q(2): what one sensor shows two sigmas off an edge; less goes unnoticed. */
    private static final double UNNOTICED_SHARE = 0.0228;

    private static final double SETTLED_SIGMAS = 4;

    /** Inmost first; empty for laws that make no error of a row. */
    public static List<PairShares> of(Setup setup) {
        ErrorSignal kind = setup.law().signal();
        if (!kind.weighted()) {
            return List.of();
        }
        List<Sensor> row = setup.lawSensors();
        double[] weights = ErrorRule.weights(setup);
        double middle = row.stream().mapToDouble(Sensor::leftMm).average().orElseThrow();
        int pairs = row.size() / 2;
        double out = row.get(0).leftMm()
                - middle
                + setup.line().widthMm()
                + SETTLED_SIGMAS * row.get(0).spotSigmaMm();
        int points = 1 + (int) (out / STEP_MM);
        double[][] terms = new double[pairs][points];
        double[] slopes = new double[pairs];
        for (int k = 0; k < pairs; k++) {
            int left = pairs - 1 - k;
            int right = row.size() - 1 - left;
            for (int i = 0; i < points; i++) {
                terms[k][i] = Math.abs(term(setup, row, weights, left, i * STEP_MM - middle)
                        + term(setup, row, weights, right, i * STEP_MM - middle));
            }
            slopes[k] = terms[k][1] - terms[k][0];
        }
        double slope = 0;
        for (double each : slopes) {
            slope += each;
        }
        List<PairShares> shares = new ArrayList<>();
        for (int k = 0; k < pairs; k++) {
            int left = pairs - 1 - k;
            shares.add(new PairShares(
                    row.get(left).name(),
                    row.get(row.size() - 1 - left).name(),
                    row.get(left).leftMm() - middle,
                    slope == 0 ? 0 : slopes[k] / slope,
                    leads(terms, k),
                    reaches(terms[k])));
        }
        return List.copyOf(shares);
    }

    /** A sensor's part of the error with the row's middle this far left of the line's. */
    private static double term(Setup setup, List<Sensor> row, double[] weights, int i, double offsetMm) {
        Sensor sensor = row.get(i);
        double coverage = Spot.coverage(offsetMm + sensor.leftMm(), setup.line().widthMm(), sensor.spotSigmaMm());
        if (setup.law().signal().isMean()) {
            return weights[i] * coverage;
        }
        double ground = setup.line().polarity().ground(sensor);
        double reading = ground + (setup.line().polarity().line(sensor) - ground) * coverage;
        return weights[i] * setup.law().scale().scaled(sensor, reading);
    }

    private static double leads(double[][] terms, int pair) {
        for (int i = 1; i < terms[pair].length; i++) {
            boolean most = terms[pair][i] > 0;
            for (int k = 0; k < terms.length && most; k++) {
                most = k == pair || terms[pair][i] >= terms[k][i];
            }
            if (most) {
                return i * STEP_MM;
            }
        }
        return Double.NaN;
    }

    private static double reaches(double[] term) {
        double most = 0;
        for (double each : term) {
            most = Math.max(most, each);
        }
        int last = term.length - 1;
        while (last > 0 && term[last] < UNNOTICED_SHARE * most) {
            last--;
        }
        return last * STEP_MM;
    }
}
