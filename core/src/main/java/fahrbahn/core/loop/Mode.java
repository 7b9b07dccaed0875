package fahrbahn.core.loop;

import org.hipparchus.complex.Complex;

/**
 * One motion of a sampled loop: a pole z of its one-tick matrix. In continuous terms s = ln(z)/T.
 *
 * @param radius magnitude of the pole
 * @param angleRad its angle, 0 to pi
 */
public record Mode(double radius, double angleRad, double periodOfLoopS) {
    static Mode of(Complex pole, double loopPeriodS) {
        return new Mode(pole.norm(), Math.abs(pole.getArgument()), loopPeriodS);
    }

    /** Time in which the motion falls to 37 %. */
    public double timeConstantS() {
        return -periodOfLoopS / Math.log(radius);
    }

    /** -Re(s)/|s|: 1 for a motion that does not swing, 0 for one that swings on for ever. */
    public double dampingRatio() {
        return -Math.log(radius) / Math.hypot(Math.log(radius), angleRad);
    }

    /** Infinite for a motion that does not swing. */
    public double periodS() {
        return 2 * Math.PI * periodOfLoopS / angleRad;
    }
}
