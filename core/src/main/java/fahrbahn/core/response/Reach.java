package fahrbahn.core.response;

/**
 * What a side of the riding point can show, up to where the curve folds over: all a bend has to work with.
 *
 * @param error {@link #SHOWN} of the largest there is, without its sign
 * @param awayMm how far from the riding point it is reached first
 */
public record Reach(double error, double awayMm) {
    /** Of the largest error of a side: nearer to it the curve is so flat that a place for it means nothing. */
    private static final double SHOWN = 0.99;

    /** A curve that has fallen so far below its largest has folded over; less is the ripple of an array. */
    private static final double FOLDED = 0.99;

    /** @param way 1 to the left of the riding point, -1 to its right */
    static Reach of(ErrorCurve curve, int way) {
        double out = curve.outMm() + Math.abs(curve.rideOffsetMm());
        int points = (int) Math.ceil(out / curve.searchStepMm(out));
        double step = out / points;
        double most = 0;
        int top = 0;
        for (int i = 1; i <= points; i++) {
            double error = aside(curve, way, step * i);
            if (error > most) {
                most = error;
                top = i;
            } else if (error < FOLDED * most) {
                break;
            }
        }
        double enough = SHOWN * Math.max(most, vertex(curve, way, step, top));
        double near = 0;
        double far = step;
        while (far < out && aside(curve, way, far) < enough) {
            near = far;
            far += step;
        }
        while (far - near > ErrorCurve.ROOT_TOLERANCE_MM) {
            double middle = (near + far) / 2;
            if (aside(curve, way, middle) < enough) {
                near = middle;
            } else {
                far = middle;
            }
        }
        return new Reach(enough, far);
    }

    /** Size of the error so far beside the riding point. */
    private static double aside(ErrorCurve curve, int way, double awayMm) {
        return Math.abs(curve.errorAt(curve.rideOffsetMm() + way * awayMm));
    }

    /** At the vertex of the parabola through the largest sample and its neighbours; 0 where it has none. */
    private static double vertex(ErrorCurve curve, int way, double step, int top) {
        double left = aside(curve, way, step * (top - 1));
        double middle = aside(curve, way, step * top);
        double right = aside(curve, way, step * (top + 1));
        double bend = left - 2 * middle + right;
        return bend < 0 ? aside(curve, way, step * (top + (left - right) / (2 * bend))) : 0;
    }
}
