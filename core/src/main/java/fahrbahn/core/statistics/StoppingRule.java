package fahrbahn.core.statistics;

import fahrbahn.core.check.Check;

/** How a program decides to stop, and how much that scatters the place, as a standard deviation along the line. */
public enum StoppingRule {
    /** After a time: speed scatter carries over the whole way. */
    TIMER {
        @Override
        public double scatterMm(Circumstances c) {
            return Math.hypot(c.wayMm() * c.speedScatter(), tickMm(c));
        }
    },
    /** After so many turns of the wheels: slip carries over the whole way. */
    WHEEL_TURNS {
        @Override
        public double scatterMm(Circumstances c) {
            return Math.hypot(c.wayMm() * c.slipScatter(), Math.hypot(c.wheelStepMm() / ROOT_12, tickMm(c)));
        }
    },
    /** At a mark on the table: only seeing it and coming to rest are left. */
    MARK {
        @Override
        public double scatterMm(Circumstances c) {
            double seeing = c.markNoiseMm();
            double coasting = c.speedScatter() * c.speedMmPerS() * c.brakingS();
            return Math.hypot(Math.hypot(seeing, coasting), tickMm(c));
        }
    };

    private static final double ROOT_12 = Math.sqrt(12);

    /**
     * What the scatter comes from.
     *
     * @param wayMm from the start, or the last place the program was sure of; 0 or more
     * @param speedScatter standard deviation of the speed, as a share
     * @param slipScatter standard deviation of the slip, as a share of the way
     * @param wheelStepMm way of one count of the wheel encoder
     * @param markNoiseMm standard deviation of where the mark is seen
     * @param brakingS delay and wheel lag after the decision: the way to rest is this times the speed
     */
    public record Circumstances(
            double wayMm,
            double speedMmPerS,
            double speedScatter,
            double slipScatter,
            double wheelStepMm,
            double markNoiseMm,
            double loopPeriodS,
            double brakingS) {
        public Circumstances {
            Check.notNegative("wayMm", wayMm);
            Check.positive("speedMmPerS", speedMmPerS);
            Check.notNegative("speedScatter", speedScatter);
            Check.notNegative("slipScatter", slipScatter);
            Check.notNegative("wheelStepMm", wheelStepMm);
            Check.notNegative("markNoiseMm", markNoiseMm);
            Check.positive("loopPeriodS", loopPeriodS);
            Check.notNegative("brakingS", brakingS);
        }
    }

    /** Predicted standard deviation of the stop place along the line, mm; independent causes add in squares. */
    public abstract double scatterMm(Circumstances circumstances);

    /** A decision falls anywhere in a tick: evenly spread over the way of one. */
    private static double tickMm(Circumstances c) {
        return c.speedMmPerS() * c.loopPeriodS() / ROOT_12;
    }
}
