package fahrbahn.core.response;

import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.List;

/** Two sensors astride the line: error is the left scaled reading less the right one. */
public record PairCurve(Sensor left, Sensor right, Line line, Law law) implements ErrorCurve {
    /** Samples of the curve when its largest difference is looked for: finer than a tenth of any usual spot. */
    private static final int SEARCH_POINTS = 2000;

    static PairCurve of(Setup setup) {
        List<Sensor> pair = setup.lawSensors();
        return new PairCurve(pair.get(0), pair.get(1), setup.line(), setup.law());
    }

    /** Distance between the two sensors, mm. */
    public double spacingMm() {
        return left.leftMm() - right.leftMm();
    }

    @Override
    public double errorAt(double offsetMm) {
        double half = spacingMm() / 2;
        return scaled(left, offsetMm + half) - scaled(right, offsetMm - half);
    }

    private double scaled(Sensor sensor, double offsetMm) {
        return ErrorCurve.scaledReading(sensor, law.scale(), line.polarity(), line.widthMm(), offsetMm);
    }

    @Override
    public double rideOffsetMm() {
        double out = spacingMm() / 2;
        String rule = "scaled so that both sensors agree somewhere over the line";
        return root(-out, out, "law.scale", law.scale().word(), rule);
    }

    @Override
    public double errorReach() {
        double spread = spacingMm() / 2 + line.widthMm() + 4 * Math.max(left.spotSigmaMm(), right.spotSigmaMm());
        double most = 0;
        double least = 0;
        for (int i = 0; i <= SEARCH_POINTS; i++) {
            double error = errorAt(-spread + 2 * spread * i / SEARCH_POINTS);
            most = Math.max(most, error);
            least = Math.min(least, error);
        }
        return Math.min(most, -least);
    }
}
