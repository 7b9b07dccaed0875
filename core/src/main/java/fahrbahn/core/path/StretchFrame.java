package fahrbahn.core.path;

/** Where a point lies seen from one stretch: along it and to its left. Reused from point to point; allocates nothing. */
public final class StretchFrame {
    private final double startX;
    private final double startY;
    private final double cos;
    private final double sin;
    /** Positive to the left, 0 when straight. */
    private final double radiusMm;

    /** Half the turn of a bend: angles are counted from its middle, so that none is cut in two. */
    private final double halfTurn;

    private final double sinHalfTurn;
    private final double cosHalfTurn;
    private final double lengthMm;

    private double alongMm;
    private double leftMm;
    private double normalX;
    private double normalY;

    public StretchFrame(Path.Stretch stretch) {
        startX = stretch.start().xMm();
        startY = stretch.start().yMm();
        cos = Math.cos(stretch.start().headingRad());
        sin = Math.sin(stretch.start().headingRad());
        radiusMm = stretch.curvaturePerMm() == 0 ? 0 : 1 / stretch.curvaturePerMm();
        halfTurn = stretch.lengthMm() * Math.abs(stretch.curvaturePerMm()) / 2;
        sinHalfTurn = Math.sin(halfTurn);
        cosHalfTurn = Math.cos(halfTurn);
        lengthMm = stretch.lengthMm();
    }

    /** Place along and beside the stretch, and the direction across it. */
    public void locate(double xMm, double yMm) {
        double forward = forward(xMm, yMm);
        double left = left(xMm, yMm);
        normalX = -sin;
        normalY = cos;
        if (radiusMm == 0) {
            alongMm = forward;
            leftMm = left;
            return;
        }
        double sign = Math.signum(radiusMm);
        double inward = Math.abs(radiusMm) - sign * left; // from the bend's centre back towards its start
        alongMm = along(forward, inward);
        double fromCentre = Math.sqrt(forward * forward + inward * inward);
        leftMm = sign * (Math.abs(radiusMm) - fromCentre);
        if (fromCentre > 0) {
            normalX = (forward * cos + sign * inward * sin) / fromCentre;
            normalY = (forward * sin - sign * inward * cos) / fromCentre;
        }
    }

    private double forward(double xMm, double yMm) {
        return (xMm - startX) * cos + (yMm - startY) * sin;
    }

    private double left(double xMm, double yMm) {
        return (yMm - startY) * cos - (xMm - startX) * sin;
    }

    private double along(double forward, double inward) {
        double angle = Math.atan2(forward, inward) - halfTurn;
        return (angle - 2 * Math.PI * Math.rint(angle / (2 * Math.PI)) + halfTurn) * Math.abs(radiusMm);
    }

    /** Arc length of the nearest point of the stretch, run on beyond its ends. */
    public double alongMm(double xMm, double yMm) {
        double forward = forward(xMm, yMm);
        return radiusMm == 0 ? forward : along(forward, Math.abs(radiusMm) - Math.signum(radiusMm) * left(xMm, yMm));
    }

    /**
     * Distance to the left of the stretch, in {@link #leftMm()}, and which way the point has left it: the part of
     * {@link #locate} that every tick needs, without its costly angle.
     *
     * @return +1 beyond the end, -1 before the start, else 0
     */
    public int follow(double xMm, double yMm) {
        double forward = forward(xMm, yMm);
        double left = left(xMm, yMm);
        if (radiusMm == 0) {
            leftMm = left;
            return forward > lengthMm ? 1 : forward < 0 ? -1 : 0;
        }
        double sign = Math.signum(radiusMm);
        double radius = Math.abs(radiusMm);
        double inward = radius - sign * left;
        double fromCentre = Math.sqrt(forward * forward + inward * inward);
        leftMm = sign * (radius - fromCentre);
        // Within half the turn of the bend's middle direction, by the cosine of the angle between.
        if (forward * sinHalfTurn + inward * cosHalfTurn >= fromCentre * cosHalfTurn) {
            return 0;
        }
        return forward * cosHalfTurn - inward * sinHalfTurn > 0 ? 1 : -1;
    }

    public double alongMm() {
        return alongMm;
    }

    public double leftMm() {
        return leftMm;
    }

    /** Direction across the stretch at the point, either way; a unit vector of the table frame. */
    public double normalX() {
        return normalX;
    }

    public double normalY() {
        return normalY;
    }
}
