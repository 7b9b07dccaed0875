package fahrbahn.core.response;

import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;

/** One sensor on an edge: error is its scaled reading less the target. */
public record EdgeCurve(Sensor sensor, Line line, Law law) implements ErrorCurve {
    /** Beyond this many sigmas from the edge the reading has settled to 1 part in 1e9. */
    private static final double SETTLED_SIGMAS = 6;

    static EdgeCurve of(Setup setup) {
        return new EdgeCurve(setup.lawSensors().get(0), setup.line(), setup.law());
    }

    @Override
    public double errorAt(double offsetMm) {
        return ErrorCurve.scaledReading(sensor, law.scale(), line.polarity(), line.widthMm(), offsetMm) - law.target();
    }

    @Override
    public double rideOffsetMm() {
        double outMm = line.widthMm() / 2 + SETTLED_SIGMAS * sensor.spotSigmaMm();
        double onLine = errorAt(0) + law.target();
        double onGround = errorAt(outMm) + law.target();
        String rule = "between %.4g and %.4g, what this sensor shows across the edge (%s numbers)"
                .formatted(
                        Math.min(onLine, onGround),
                        Math.max(onLine, onGround),
                        law.scale().word());
        return law.side().sign() * root(0, outMm, "law.target", law.target(), rule);
    }

    /** Units from the target to the nearer end of the scale. */
    @Override
    public double errorReach() {
        double dark = law.scale().dark(sensor);
        double light = law.scale().light(sensor);
        return Math.min(Math.abs(law.target() - dark), Math.abs(light - law.target()));
    }
}
