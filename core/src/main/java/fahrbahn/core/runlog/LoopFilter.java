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
    private static final int N = 4;

    /** Where nobody knows yet: mm, rad, rad/s, 1/mm. */
    private static final double[] UNKNOWN = {30, 0.5, 2, 0.005};

    private final double[] tS;
    private final double[] seenMm;
    private final double[] turn;
    private final double leadMm;
    private final boolean[] steady;
    private final double[] x = new double[N];
    private final double[][] p = new double[N][N];
    private final double[][] f = new double[N][N];
    private final double[][] fp = new double[N][N];

    /**
     * @param tS times of the ticks
     * @param seenMm place of the sensors beside the path as they tell it, mm to the left; NaN where they tell too little
     * @param turn half of what the right wheel is told less what the left one is, commands; held from its tick to the next
     * @param steady where the line keeps its curvature; each such stretch begins anew, knowing nothing
     */
    LoopFilter(double[] tS, double[] seenMm, double[] turn, boolean[] steady, double leadMm) {
        this.tS = tS;
        this.seenMm = seenMm;
        this.turn = turn;
        this.steady = steady;
        this.leadMm = leadMm;
    }

    /**
     * What is unknown.
     *
     * @param lagS above 0
     * @param turnPerCommand settled turn rate, rad/s
     * @param slopeShare of the error over what it was taken to be
     * @param bendPerRootS how fast the curvature wanders, 1/mm per root of a second
     * @param noiseMm of a look
     */
    record Guess(
            double lagS,
            double delayS,
            double speedMmPerS,
            double turnPerCommand,
            double slopeShare,
            double bendPerRootS,
            double noiseMm) {}

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
                spread(guess, tS[i] - tS[i - 1]);
            } else {
                begin();
                known = true;
            }
            if (!Double.isNaN(seenMm[i])) {
                cost += look(guess, seenMm[i]);
            }
        }
        return cost;
    }

    private void begin() {
        for (int i = 0; i < N; i++) {
            x[i] = 0;
            for (int k = 0; k < N; k++) {
                p[i][k] = i == k ? UNKNOWN[i] * UNKNOWN[i] : 0;
            }
        }
    }

    /** The states from one tick to the next, under the commands that arrive in between. @return the command that acts at its end */
    private int move(Guess g, double fromS, double toS, int acting) {
        int command = acting;
        double now = fromS;
        while (now < toS) {
            while (command + 1 < turn.length && tS[command + 1] + g.delayS() <= now) {
                command++;
            }
            double until = command + 1 < turn.length ? Math.min(toS, tS[command + 1] + g.delayS()) : toS;
            // Before the first command arrives nobody knows what acts: nothing, and the first look mends it.
            double goal = tS[0] + g.delayS() > now ? 0 : g.turnPerCommand() * turn[command];
            if (goal == 0 && tS[0] + g.delayS() > now) {
                until = Math.min(toS, tS[0] + g.delayS());
            }
            integrate(g, until - now, goal);
            now = until;
        }
        return command;
    }

    private void integrate(Guess g, double h, double goal) {
        double left = Math.exp(-h / g.lagS());
        double carried = g.lagS() * (1 - left);
        double v = g.speedMmPerS();
        double missing = x[2] - goal;
        x[0] += v * (x[1] * h + goal * h * h / 2 + missing * g.lagS() * (h - carried) - v * x[3] * h * h / 2);
        x[1] += goal * h + missing * carried - v * x[3] * h;
        x[2] = goal + missing * left;
    }

    /** The uncertainty over a tick. */
    private void spread(Guess g, double h) {
        double left = Math.exp(-h / g.lagS());
        double carried = g.lagS() * (1 - left);
        double v = g.speedMmPerS();
        f[0][0] = 1;
        f[0][1] = v * h;
        f[0][2] = v * g.lagS() * (h - carried);
        f[0][3] = -v * v * h * h / 2;
        f[1][1] = 1;
        f[1][2] = carried;
        f[1][3] = -v * h;
        f[2][2] = left;
        f[3][3] = 1;
        // f has nothing below its diagonal, and what comes out is symmetric.
        for (int i = 0; i < N; i++) {
            for (int k = 0; k < N; k++) {
                double sum = 0;
                for (int j = i; j < N; j++) {
                    sum += f[i][j] * p[j][k];
                }
                fp[i][k] = sum;
            }
        }
        for (int i = 0; i < N; i++) {
            for (int k = 0; k <= i; k++) {
                double sum = 0;
                for (int j = k; j < N; j++) {
                    sum += fp[i][j] * f[k][j];
                }
                p[i][k] = sum;
                p[k][i] = sum;
            }
        }
        p[3][3] += g.bendPerRootS() * g.bendPerRootS() * h;
    }

    /** A look at the line. @return its share of the cost */
    private double look(Guess g, double seen) {
        double s = g.slopeShare();
        double l = s * leadMm;
        double variance = g.noiseMm() * g.noiseMm();
        for (int i = 0; i < N; i++) {
            fp[0][i] = s * p[i][0] + l * p[i][1]; // what each state shares with the look
        }
        variance += s * fp[0][0] + l * fp[0][1];
        double surprise = seen - s * x[0] - l * x[1];
        for (int i = 0; i < N; i++) {
            x[i] += fp[0][i] * surprise / variance;
        }
        for (int i = 0; i < N; i++) {
            for (int k = 0; k <= i; k++) {
                p[i][k] -= fp[0][i] * fp[0][k] / variance;
                p[k][i] = p[i][k];
            }
        }
        return 0.5 * (Math.log(variance) + surprise * surprise / variance);
    }
}
