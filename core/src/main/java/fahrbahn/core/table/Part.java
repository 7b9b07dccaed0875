package fahrbahn.core.table;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;

/** A piece of a course; each begins where the one before it ends, in the same direction. */
public sealed interface Part {
    /** Length along the line's centre, mm. */
    double lengthMm();

    /** Turn per mm to the left, rad/mm; 0 when straight. */
    double curvaturePerMm();

    /** False where the line is missing. */
    default boolean painted() {
        return true;
    }

    /** @param lengthMm above 0 */
    record Straight(double lengthMm) implements Part {
        public Straight {
            Check.positive("lengthMm", lengthMm);
        }

        @Override
        public double curvaturePerMm() {
            return 0;
        }
    }

    /** A straight piece without line. @param lengthMm above 0 */
    record Gap(double lengthMm) implements Part {
        public Gap {
            Check.positive("lengthMm", lengthMm);
        }

        @Override
        public double curvaturePerMm() {
            return 0;
        }

        @Override
        public boolean painted() {
            return false;
        }
    }

    /**
     * A circular bend.
     *
     * @param radiusMm of the line's centre, above 0
     * @param angleRad positive to the left; not 0, less than a full turn
     */
    record Bend(double radiusMm, double angleRad) implements Part {
        public Bend {
            Check.positive("radiusMm", radiusMm);
            Check.between("angleRad", Math.abs(angleRad), 0, 2 * Math.PI);
            if (angleRad == 0) {
                throw new BadValueException("angleRad", angleRad, "other than 0; use a straight");
            }
        }

        @Override
        public double lengthMm() {
            return radiusMm * Math.abs(angleRad);
        }

        @Override
        public double curvaturePerMm() {
            return Math.signum(angleRad) / radiusMm;
        }
    }
}
