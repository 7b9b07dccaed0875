package fahrbahn.core.response;

import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.List;

/**
 * The law's sensors against the width of the line and the marks beside it.
 *
 * @param spanMm between the outermost of them; 0 for one
 * @param pitchMm between neighbours, mean; 0 for one
 * @param slopeShare of a pair: its slope over the steepest that any spacing gives, that of a spacing of one line width; NaN for others
 * @param blindHalfMm of a pair: half of the band in which both see ground; 0 when there is none
 * @param markInnerMm where a turn mark beside the line begins, from the line's middle
 * @param markOuterMm where it ends
 * @param seeingMarks names of all the robot's sensors that see a sixth of a mark or more while the robot rides straight: the middle of
 *     their spot is at most a sigma off it
 */
public record Spacing(
        double spanMm,
        double pitchMm,
        double slopeShare,
        double blindHalfMm,
        double markInnerMm,
        double markOuterMm,
        List<String> seeingMarks) {
    /** A turn mark is a square of this many line widths; courses are painted so. */
    public static final double MARK_WIDTHS = 1.25;

    /** What a sensor two sigmas off an edge shows of the line goes unnoticed. */
    private static final double UNNOTICED_SIGMAS = 2;

    public static Spacing of(Setup setup) {
        List<Sensor> sensors = setup.lawSensors();
        double width = setup.line().widthMm();
        int count = sensors.size();
        double span = count == 1
                ? 0
                : sensors.get(0).leftMm() - sensors.get(count - 1).leftMm();
        boolean pair = count == 2;
        double sigma =
                sensors.stream().mapToDouble(Sensor::spotSigmaMm).average().orElseThrow();
        double inner = width / 2;
        double outer = inner + MARK_WIDTHS * width;
        // A robot on an edge rides beside the middle: its sensors look from there.
        double ride = ErrorCurve.of(setup).rideOffsetMm()
                - sensors.stream().mapToDouble(Sensor::leftMm).average().orElseThrow();
        List<String> seeing = setup.robot().sensors().stream()
                .filter(s -> Math.abs(s.leftMm() + ride) >= inner - s.spotSigmaMm()
                        && Math.abs(s.leftMm() + ride) <= outer + s.spotSigmaMm())
                .map(Sensor::name)
                .toList();
        return new Spacing(
                span,
                count == 1 ? 0 : span / (count - 1),
                pair ? slope(span, width, sigma) / slope(width, width, sigma) : Double.NaN,
                pair ? Math.max(0, (span - width) / 2 - UNNOTICED_SIGMAS * sigma) : 0,
                inner,
                outer,
                seeing);
    }

    /** Slope of a pair in its middle, but for a factor that spacing does not change. */
    private static double slope(double span, double width, double sigma) {
        return density((width - span) / (2 * sigma)) - density((width + span) / (2 * sigma));
    }

    private static double density(double z) {
        return Math.exp(-z * z / 2);
    }
}
