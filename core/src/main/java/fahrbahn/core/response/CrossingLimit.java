package fahrbahn.core.response;

import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.List;
import java.util.function.DoubleUnaryOperator;

/**
 * Whether a sensor can step over a line that lies straight across its way, between two loops. The line is seen over the length on which at least the
 * law's share of the spot lies on it; a loop that reads every {@code v T} mm reads it for certain where that is no longer.
 *
 * @param seenMm length of the way over which the line is seen, by the sensor that sees least of it; 0 where it never sees enough
 * @param loops that read it at the set speed, at the least
 * @param fastestMmPerS speed at which it is read once for certain
 * @param narrowestMm line that is read once for certain at the set speed
 */
public record CrossingLimit(double seenMm, int loops, double fastestMmPerS, double narrowestMm) {
    private static final int HALVINGS = 24;

    /** Wider than any line that is laid. */
    private static final double WIDEST_MM = 1000;

    /** Of the setup's line, sensors and speed. */
    public static CrossingLimit of(Setup setup) {
        double width = setup.line().widthMm();
        double seenMm = seenMm(setup, width);
        double stepMm = setup.speedMmPerS() * setup.robot().loop().periodS();
        double narrowest = atLeast(w -> seenMm(setup, w), stepMm);
        return new CrossingLimit(
                seenMm,
                (int) Math.floor(seenMm / stepMm),
                seenMm / setup.robot().loop().periodS(),
                narrowest);
    }

    private static double seenMm(Setup setup, double widthMm) {
        List<Sensor> sensors = setup.lawSensors();
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < sensors.size(); i++) {
            double sigma = sensors.get(i).spotSigmaMm();
            double share = share(setup, i);
            if (Spot.coverage(0, widthMm, sigma) < share) {
                return 0;
            }
            // From the middle outwards less and less of the spot lies on it.
            double half = atLeast(offset -> -Spot.coverage(offset, widthMm, sigma), -share);
            least = Math.min(least, 2 * half);
        }
        return least;
    }

    /** Of a spot on the line, from which on its sensor sees it. */
    private static double share(Setup setup, int sensor) {
        return !setup.law().signal().hasError()
                ? LineCodes.thresholdShare(
                        setup, setup.lawSensors().get(sensor), setup.law().threshold(sensor))
                : setup.law().options().lost().seenShare();
    }

    /** Where a rising function comes to a value, between 0 and what is wider than any line; by halving. */
    private static double atLeast(DoubleUnaryOperator rising, double value) {
        double low = 0;
        double high = WIDEST_MM;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            if (rising.applyAsDouble(middle) < value) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return high;
    }
}
