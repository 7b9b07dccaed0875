package fahrbahn.core.setup;

import fahrbahn.core.check.Bounds;
import fahrbahn.core.check.Check;

/**
 * The line to follow.
 *
 * @param widthMm above 0
 * @param tightestRadiusMm radius of the tightest bend, of the line's centre; above 0
 */
public record Line(double widthMm, Polarity polarity, double tightestRadiusMm) {
    public Line {
        Check.positive("widthMm", widthMm, Bounds.LINE_MM);
        Check.positive("tightestRadiusMm", tightestRadiusMm, Bounds.RADIUS_MM);
    }
}
