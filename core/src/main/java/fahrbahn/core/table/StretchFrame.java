package fahrbahn.core.table;

/** Where a point lies seen from one stretch: along it and to its left. Reused from point to point; allocates nothing. */
final class StretchFrame {
    private final double startX;
    private final double startY;
    private final double cos;
    private final double sin;
    /** Positive to the left, 0 when straight. */
    private final double radiusMm;

    /** Half the turn of a bend: angles are counted from its middle, so that none is cut in two. */
    private final double halfTurn;

    private double alongMm;
    private double leftMm;
    private double normalX;
    private double normalY;

    StretchFrame(Path.Stretch stretch) {
        startX = stretch.start().xMm();
        startY = stretch.start().yMm();
        cos = Math.cos(stretch.start().headingRad());
        sin = Math.sin(stretch.start().headingRad());
        radiusMm = stretch.curvaturePerMm() == 0 ? 0 : 1 / stretch.curvaturePerMm();
        halfTurn = stretch.lengthMm() * Math.abs(stretch.curvaturePerMm()) / 2;
    }

    void locate(double xMm, double yMm) {
        double dx = xMm - startX;
        double dy = yMm - startY;
        double forward = dx * cos + dy * sin;
        double left = dy * cos - dx * sin;
        normalX = -sin;
        normalY = cos;
        if (radiusMm == 0) {
            alongMm = forward;
            leftMm = left;
            return;
        }
        double sign = Math.signum(radiusMm);
        double radius = Math.abs(radiusMm);
        double inward = radius - sign * left; // from the bend's centre back towards its start
        double angle = Math.atan2(forward, inward) - halfTurn;
        alongMm = (angle - 2 * Math.PI * Math.rint(angle / (2 * Math.PI)) + halfTurn) * radius;
        double fromCentre = Math.hypot(forward, inward);
        leftMm = sign * (radius - fromCentre);
        if (fromCentre > 0) {
            normalX = (forward * cos + sign * inward * sin) / fromCentre;
            normalY = (forward * sin - sign * inward * cos) / fromCentre;
        }
    }

    double alongMm() {
        return alongMm;
    }

    double leftMm() {
        return leftMm;
    }

    /** Direction across the stretch at the point, either way; a unit vector of the table frame. */
    double normalX() {
        return normalX;
    }

    double normalY() {
        return normalY;
    }
}
