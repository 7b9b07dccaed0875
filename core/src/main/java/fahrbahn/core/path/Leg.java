package fahrbahn.core.path;

/**
 * A piece of path with one curvature; parts are made of legs.
 *
 * @param lengthMm along the line's centre, above 0
 * @param curvaturePerMm turn to the left per mm, rad/mm; 0 when straight
 * @param cornerRad sharp turn to the left at its end; 0 when the next leg goes on in the same direction
 * @param painted false where the line is missing
 */
public record Leg(double lengthMm, double curvaturePerMm, double cornerRad, boolean painted) {
    static Leg straight(double lengthMm) {
        return new Leg(lengthMm, 0, 0, true);
    }

    static Leg bare(double lengthMm) {
        return new Leg(lengthMm, 0, 0, false);
    }

    static Leg bend(double radiusMm, double angleRad) {
        return new Leg(radiusMm * Math.abs(angleRad), Math.signum(angleRad) / radiusMm, 0, true);
    }
}
