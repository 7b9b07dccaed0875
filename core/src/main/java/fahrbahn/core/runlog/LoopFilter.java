package fahrbahn.core.runlog;

/**
 * The likelihood of a log under the loop's model, by a Kalman filter (R. E. Kalman, J. Basic Eng. 82 (1960), 35) of four states: place beside
 * the path y, heading psi, turn rate omega, and the line's curvature k, which wanders:
 *
 * <pre>y' = v psi,  psi' = omega - v k,  omega' = (G w(t - d) - omega)/tau,  seen = s (y + L psi) + noise</pre>
 *
 * Between commands the states are integrated in closed form. Innovations make the estimate hold in a loop that is closed, where a plain fit
 * of error on steering finds the controller instead of the robot (L. Ljung, System Identification, 2nd ed. (1999), ch. 13.4).
 */
final class LoopFilter {
    /** Times as equal as this have decays that differ by less than a figure is known by far. */
    private static final double SAME_S = 1e-12;

    /** Where nobody knows yet: mm, rad, rad/s, 1/mm. */
    private static final double[] UNKNOWN = {30, 0.5, 2, 0.005};

    /** A place is read off the curve of a spot that is known to some percent: so far it may err, as a share of the distance. */
    private static final double CURVE_ERRS = 0.03;

    private final double[] tS;
    private final double[] seenMm;
    private final double[] noiseTimes;
    private final double meanTickS;
    private final double[] turn;
    private final double leadMm;
    private final boolean[] steady;

    // The states and their covariance, each by its name: the loops over them took half of a fit's time.
    private double y;
    private double heading;
    private double turnRate;
    private double bend;
    private double p00;
    private double p01;
    private double p02;
    private double p03;
    private double p11;
    private double p12;
    private double p13;
    private double p22;
    private double p23;
    private double p33;

    /** What is left of a lagging turn rate after a time, for the two lengths of time that come by turns within a tick. */
    private final Decay first = new Decay();

    private final Decay rest = new Decay();

    private static final class Decay {
        private double overS = Double.NaN;
        private double lagS;
        private double left;

        double left(double newOverS, double newLagS) {
            if (!(Math.abs(newOverS - overS) < SAME_S) || newLagS != lagS) {
                overS = newOverS;
                lagS = newLagS;
                left = Math.exp(-newOverS / newLagS);
            }
            return left;
        }
    }

    /**
     * @param tS times of the ticks
     * @param seenMm place of the sensors beside the path as they tell it, mm to the left; NaN where they tell too little
     * @param noiseTimes how much noisier each look is than one in the middle, in mm
     * @param turn half of what the right wheel is told less what the left one is, commands; held from its tick to the next
     * @param steady where the line keeps its curvature; each such stretch begins anew, knowing nothing
     */
    LoopFilter(double[] tS, LogPlaces places, double[] turn, boolean[] steady, double leadMm) {
        this.tS = tS;
        this.seenMm = places.mm();
        this.noiseTimes = places.noiseTimes();
        this.meanTickS = (tS[tS.length - 1] - tS[0]) / (tS.length - 1);
        this.turn = turn;
        this.steady = steady;
        this.leadMm = leadMm;
    }

    /**
     * What is unknown.
     *
     * @param lagS above 0
     * @param delayInTicks whether the delay is a share of its tick, and longer in a long one; else it is always as long
     * @param turnPerCommand settled turn rate, rad/s
     * @param slopeShare of the error over what it was taken to be
     * @param bendPerRootS how fast the curvature wanders, 1/mm per root of a second
     * @param noiseMm of a look
     * @param arrivalS how much sooner or later than its delay a command arrives, standard deviation
     */
    record Guess(
            double lagS,
            double delayS,
            boolean delayInTicks,
            double speedMmPerS,
            double turnPerCommand,
            double slopeShare,
            double bendPerRootS,
            double noiseMm,
            double arrivalS) {}

    /** Minus the log of the likelihood, less a constant. */
    double cost(Guess guess) {
        int command = 0;
        double cost = 0;
        boolean known = false;
        for (int i = 0; i < tS.length; i++) {
            if (!steady[i]) {
                known = false;
                continue;
            }
            if (known) {
                command = move(guess, tS[i - 1], tS[i], command);
            } else {
                begin();
                known = true;
            }
            if (!Double.isNaN(seenMm[i])) {
                cost += look(guess, seenMm[i], guess.noiseMm() * noiseTimes[i]);
            }
        }
        return cost;
    }

    private void begin() {
        y = 0;
        heading = 0;
        turnRate = 0;
        bend = 0;
        p00 = UNKNOWN[0] * UNKNOWN[0];
        p11 = UNKNOWN[1] * UNKNOWN[1];
        p22 = UNKNOWN[2] * UNKNOWN[2];
        p33 = UNKNOWN[3] * UNKNOWN[3];
        p01 = 0;
        p02 = 0;
        p03 = 0;
        p12 = 0;
        p13 = 0;
        p23 = 0;
    }

    /** The states from one tick to the next, under the commands that arrive in between. @return the command that acts at its end */
    private int move(Guess g, double fromS, double toS, int acting) {
        int command = acting;
        double now = fromS;
        while (now < toS) {
            while (command + 1 < turn.length && arrives(g, command + 1) <= now) {
                command++;
                arrive(g, command);
            }
            double until = command + 1 < turn.length ? Math.min(toS, arrives(g, command + 1)) : toS;
            // Before the first command arrives nobody knows what acts: nothing, and the first look mends it.
            boolean before = command == 0 && arrives(g, 0) > now;
            double goal = before ? 0 : g.turnPerCommand() * turn[command];
            if (before) {
                until = Math.min(toS, arrives(g, 0));
            }
            if (until > now) {
                Decay decay = now == fromS ? first : rest;
                double left = decay.left(until - now, g.lagS());
                integrate(g, until - now, goal, left);
                spread(g, until - now, left);
            }
            now = until;
        }
        return command;
    }

    /** A command that comes sooner or later than it should moves the turn rate by its step, for so long, through the lag. */
    private void arrive(Guess g, int command) {
        double moved = g.turnPerCommand() * (turn[command] - turn[command - 1]) * g.arrivalS() / g.lagS();
        p22 += moved * moved;
    }

    private double arrives(Guess g, int command) {
        if (!g.delayInTicks()) {
            return tS[command] + g.delayS();
        }
        double at = command + g.delayS() / meanTickS;
        int tick = (int) Math.min(tS.length - 2, at);
        return tS[tick] + (at - tick) * (tS[tick + 1] - tS[tick]);
    }

    private void integrate(Guess g, double h, double goal, double left) {
        double carried = g.lagS() * (1 - left);
        double v = g.speedMmPerS();
        double missing = turnRate - goal;
        y += v * (heading * h + goal * h * h / 2 + missing * g.lagS() * (h - carried) - v * bend * h * h / 2);
        heading += goal * h + missing * carried - v * bend * h;
        turnRate = goal + missing * left;
    }

    /** The uncertainty over a tick: F P F', where F has nothing below its diagonal. */
    private void spread(Guess g, double h, double left) {
        double carried = g.lagS() * (1 - left);
        double v = g.speedMmPerS();
        double f01 = v * h;
        double f02 = v * g.lagS() * (h - carried);
        double f03 = -v * v * h * h / 2;
        double f12 = carried;
        double f13 = -v * h;
        double a00 = p00 + f01 * p01 + f02 * p02 + f03 * p03;
        double a01 = p01 + f01 * p11 + f02 * p12 + f03 * p13;
        double a02 = p02 + f01 * p12 + f02 * p22 + f03 * p23;
        double a03 = p03 + f01 * p13 + f02 * p23 + f03 * p33;
        double a11 = p11 + f12 * p12 + f13 * p13;
        double a12 = p12 + f12 * p22 + f13 * p23;
        double a13 = p13 + f12 * p23 + f13 * p33;
        p00 = a00 + a01 * f01 + a02 * f02 + a03 * f03;
        p01 = a01 + a02 * f12 + a03 * f13;
        p02 = a02 * left;
        p03 = a03;
        p11 = a11 + a12 * f12 + a13 * f13;
        p12 = a12 * left;
        p13 = a13;
        p22 = left * p22 * left;
        p23 = left * p23;
        p33 += g.bendPerRootS() * g.bendPerRootS() * h;
    }

    /** A look at the line. @return its share of the cost */
    private double look(Guess g, double seen, double noiseMm) {
        double s = g.slopeShare();
        double l = s * leadMm;
        // What each state shares with the look.
        double c0 = s * p00 + l * p01;
        double c1 = s * p01 + l * p11;
        double c2 = s * p02 + l * p12;
        double c3 = s * p03 + l * p13;
        double expected = s * y + l * heading;
        double curveMm = CURVE_ERRS * expected;
        double variance = noiseMm * noiseMm + curveMm * curveMm + s * c0 + l * c1;
        double surprise = seen - expected;
        double gain = surprise / variance;
        y += c0 * gain;
        heading += c1 * gain;
        turnRate += c2 * gain;
        bend += c3 * gain;
        double one = 1 / variance;
        p00 -= c0 * c0 * one;
        p01 -= c0 * c1 * one;
        p02 -= c0 * c2 * one;
        p03 -= c0 * c3 * one;
        p11 -= c1 * c1 * one;
        p12 -= c1 * c2 * one;
        p13 -= c1 * c3 * one;
        p22 -= c2 * c2 * one;
        p23 -= c2 * c3 * one;
        p33 -= c3 * c3 * one;
        return 0.5 * (Math.log(variance) + surprise * gain);
    }
}
