package fahrbahn.core.loop;

import fahrbahn.core.response.ErrorCurve;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.List;

/**
 * The way from a straight into a bend, and on round it, of a robot without lag: what it needs more than the bend itself. It swings out
 * before it settles, and where the error folds over a swing too far is the end; a row of sensors lies obliquely across its line, and
 * shows less. Without lag the way does not depend on speed, only on the curvature that an error makes.
 */
final class BendEntry {
    private static final double STEP_MM = 2;
    private static final double TURNED_RAD = 1.5 * Math.PI;

    /** Beside the line's edge by so much it is lost, as on the twin. */
    private static final double LOST_MM = 60;

    private static final double RUN_UP_MM = 10;

    private final ErrorCurve curve;
    private final List<Sensor> sensors;
    private final double radiusMm;
    private final double lineMm;
    private final double trackMm;
    private final boolean innerWheel;
    private final double besideMm;
    private final double[] offsetsMm;

    BendEntry(Setup setup, ErrorCurve curve) {
        this.curve = curve;
        sensors = setup.lawSensors();
        radiusMm = setup.line().tightestRadiusMm();
        lineMm = setup.line().widthMm();
        trackMm = setup.robot().drive().effectiveTrackWidthMm();
        innerWheel = setup.robot().drive().mixing() == Mixing.INNER_WHEEL;
        besideMm = sensors.stream().mapToDouble(Sensor::leftMm).average().orElseThrow();
        offsetsMm = new double[sensors.size()];
    }

    /**
     * @param perError what the law makes of a unit of error: curvature, 1/mm, with difference mixing, steering with inner-wheel mixing
     * @return whether it comes round, both ways
     */
    boolean holds(double perError) {
        return comesRound(perError, 1) && comesRound(perError, -1);
    }

    private boolean comesRound(double perError, int way) {
        double gain = -Math.signum(curve.slopePerMm()) * perError;
        double lead = Math.max(0, curve.leadMm());
        double x = -lead - RUN_UP_MM;
        double y = curve.rideOffsetMm() - besideMm;
        double heading = 0;
        int most = (int) ((lead + RUN_UP_MM + 2 * TURNED_RAD * radiusMm) / STEP_MM);
        for (int step = 0; step < most; step++) {
            double ahead = Math.cos(heading);
            double aside = Math.sin(heading);
            double middle = 0;
            for (int i = 0; i < offsetsMm.length; i++) {
                Sensor s = sensors.get(i);
                offsetsMm[i] = offset(
                        x + s.forwardMm() * ahead - s.leftMm() * aside,
                        y + s.forwardMm() * aside + s.leftMm() * ahead,
                        way,
                        ahead > 0);
                middle += offsetsMm[i] / offsetsMm.length;
            }
            if (!(Math.abs(middle) <= lineMm / 2 + LOST_MM)) {
                return false;
            }
            double curvature = curvature(gain * curve.errorAt(offsetsMm));
            double turn = curvature * STEP_MM;
            x += STEP_MM * Math.cos(heading + turn / 2);
            y += STEP_MM * Math.sin(heading + turn / 2);
            heading += turn;
            if (way * heading >= TURNED_RAD) {
                return true;
            }
        }
        return false;
    }

    /** Of a point from the line's centre, left positive: a straight up to x = 0, then a circle. */
    private double offset(double x, double y, int way, boolean entering) {
        return x < 0 && entering ? y : way * (radiusMm - Math.hypot(x, y - way * radiusMm));
    }

    private double curvature(double steered) {
        if (!innerWheel) {
            return steered;
        }
        double u = Math.max(-100, Math.min(100, steered));
        // Outer wheel v, inner v (1 - u/50): turn over mean speed.
        return u / (50 * trackMm) / (1 - Math.min(0.999, Math.abs(u) / 100));
    }
}
