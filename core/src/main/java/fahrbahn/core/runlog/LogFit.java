package fahrbahn.core.runlog;

import fahrbahn.core.response.CurveFeatures;
import fahrbahn.core.response.ErrorCurve;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import java.util.Arrays;
import java.util.Optional;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.optim.InitialGuess;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.SimpleValueChecker;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.scalar.ObjectiveFunction;
import org.hipparchus.optim.nonlinear.scalar.noderiv.NelderMeadSimplex;
import org.hipparchus.optim.nonlinear.scalar.noderiv.SimplexOptimizer;

/**
 * Lag, delay, speed and slope of a robot from its log: those under which the loop's model, driven by the commands that were logged, makes the
 * errors that were logged likeliest ({@link LoopFilter}). How the line bends and how noisy a look is are found beside them. Errors are those
 * of the likelihood's curvature at its top.
 *
 * @param lagS of the wheels
 * @param delayS from a reading to the command it makes
 * @param speedMmPerS along the line
 * @param slopeShare slope of the error over what the setup has
 * @param effectS lag and delay together, which are known better than each of them
 */
public record LogFit(Told lagS, Told delayS, Told speedMmPerS, Told slopeShare, Told effectS) {
    /** A value and its standard error. */
    public record Told(double value, double sd) {}

    /** Of the most error there is: beyond, the sensors tell little of the place. */
    private static final double INSIDE_SHARE = 0.9;

    /** With fewer looks inside nothing is told. */
    private static final int LEAST_LOOKS = 200;

    private static final int MOST_EVALUATIONS = 1500;

    /** Of the log of the likelihood: for a hundredth no figure moves by a fifth of its error, for a half one still knows which hill is the highest. */
    private static final double CLOSE = 0.003;

    private static final double ROUGHLY = 0.02;

    /** Of the logs of the unknowns, for the curvature. */
    private static final double STEP = 0.02;

    private static final int UNKNOWNS = 6;

    /** Searched from more than one lag, as shares of the setup's: a slow robot looks like a quick one that is late. */
    private static final double[] FIRST_LAGS = {0.5, 1, 2.5};

    /**
     * What is known before: lag and delay of the setup to a factor of three, speed and slope to 15 %. A log of a calm run tells the product of
     * the two better than each. Standard deviations of the logs.
     */
    private static final double[] BEFORE = {1, 1, 0.15, 0.15};

    /** Empty when the log has no error or no steering, or too little of it to tell. */
    public static Optional<LogFit> of(RunLog log, Setup setup) {
        if (setup.law().kind() == Law.Kind.PATTERN) {
            return Optional.empty();
        }
        Optional<double[]> error = log.column(RunLog.Column.ERROR);
        Optional<double[]> turn = turnCommand(log, setup);
        if (error.isEmpty() || turn.isEmpty()) {
            return Optional.empty();
        }
        double[] places = Places.of(error.get(), setup).mm();
        if (Arrays.stream(places).filter(mm -> !Double.isNaN(mm)).count() < LEAST_LOOKS) {
            return Optional.empty();
        }
        double[] tS = new double[log.size()];
        Arrays.setAll(tS, log::tS);
        double leadMm = ErrorCurve.of(setup).leadMm();
        return fitted(new LoopFilter(tS, places, turn.get(), LogSteadiness.steady(tS, turn.get()), leadMm), setup);
    }

    private static Optional<LogFit> fitted(LoopFilter filter, Setup setup) {
        Drive drive = setup.robot().drive();
        double speed = setup.speedMmPerS();
        double perCommand = 2 * drive.speedPerCommand() / drive.effectiveTrackWidthMm();
        double[] usual = {
            Math.max(0.01, drive.lagS()), Math.max(0.004, setup.robot().loop().delayS()), speed, 1, 0.003, 0.5
        };
        double[] first = new double[UNKNOWNS];
        CostOfLogs cost = logs -> {
            double[] v = new double[UNKNOWNS];
            for (int i = 0; i < UNKNOWNS; i++) {
                v[i] = usual[i] * Math.exp(logs[i]);
            }
            double perSpeed = perCommand * v[2] / speed;
            double before = 0;
            for (int i = 0; i < BEFORE.length; i++) {
                before += 0.5 * logs[i] * logs[i] / (BEFORE[i] * BEFORE[i]);
            }
            return before + filter.cost(new LoopFilter.Guess(v[0], v[1], v[2], perSpeed, v[3], v[4], v[5]));
        };
        double[] best = first;
        for (double lagFirst : FIRST_LAGS) {
            double[] found = search(cost, new double[] {Math.log(lagFirst), 0, 0, 0, 0, 0}, ROUGHLY);
            best = best == first || cost.of(found) < cost.of(best) ? found : best;
        }
        best = search(cost, best, CLOSE);
        double[][] covariance = covariance(cost, best);
        double[] value = new double[UNKNOWNS];
        double[] sd = new double[UNKNOWNS];
        for (int i = 0; i < UNKNOWNS; i++) {
            value[i] = usual[i] * Math.exp(best[i]);
            sd[i] = value[i] * Math.sqrt(Math.max(0, covariance[i][i]));
        }
        double both = value[0] * value[0] * covariance[0][0]
                + value[1] * value[1] * covariance[1][1]
                + 2 * value[0] * value[1] * covariance[0][1];
        return Optional.of(new LogFit(
                new Told(value[0], sd[0]),
                new Told(value[1], sd[1]),
                new Told(value[2], sd[2]),
                new Told(value[3], sd[3]),
                new Told(value[0] + value[1], Math.sqrt(Math.max(0, both)))));
    }

    private static double[] search(CostOfLogs cost, double[] from, double close) {
        return new SimplexOptimizer(new SimpleValueChecker(-1, close))
                .optimize(
                        new MaxEval(MOST_EVALUATIONS),
                        new ObjectiveFunction(cost::of),
                        GoalType.MINIMIZE,
                        new InitialGuess(from),
                        new NelderMeadSimplex(new double[] {0.5, 0.5, 0.1, 0.1, 0.5, 0.3}))
                .getPoint();
    }

    @FunctionalInterface
    private interface CostOfLogs {
        double of(double[] logs);
    }

    /** The inverse of the cost's second derivatives, by central differences. */
    private static double[][] covariance(CostOfLogs cost, double[] at) {
        RealMatrix curvature = MatrixUtils.createRealMatrix(UNKNOWNS, UNKNOWNS);
        for (int i = 0; i < UNKNOWNS; i++) {
            for (int k = 0; k <= i; k++) {
                double second = (moved(cost, at, i, 1, k, 1)
                                - moved(cost, at, i, 1, k, -1)
                                - moved(cost, at, i, -1, k, 1)
                                + moved(cost, at, i, -1, k, -1))
                        / (4 * STEP * STEP);
                curvature.setEntry(i, k, second);
                curvature.setEntry(k, i, second);
            }
        }
        return new LUDecomposition(curvature, 0).getSolver().getInverse().getData();
    }

    private static double moved(CostOfLogs cost, double[] at, int i, int byI, int k, int byK) {
        double[] there = at.clone();
        there[i] += byI * STEP;
        there[k] += byK * STEP;
        return cost.of(there);
    }

    /** Half of right less left, in the program's commands; by what the wheels were told, else by the steering. */
    private static Optional<double[]> turnCommand(RunLog log, Setup setup) {
        Optional<double[]> left = log.column(RunLog.Column.LEFT);
        Optional<double[]> right = log.column(RunLog.Column.RIGHT);
        double[] turn = new double[log.size()];
        if (left.isPresent() && right.isPresent()) {
            for (int i = 0; i < turn.length; i++) {
                turn[i] = (right.get()[i] - left.get()[i]) / 2;
            }
            return Optional.of(turn);
        }
        Drive drive = setup.robot().drive();
        double base = setup.law().baseCommand();
        return log.column(RunLog.Column.STEERING).map(steering -> {
            for (int i = 0; i < turn.length; i++) {
                double onLeft = drive.mixing().leftCommand(base, steering[i]);
                double onRight = drive.mixing().leftCommand(base, -steering[i]);
                turn[i] = (clamped(drive, onRight) - clamped(drive, onLeft)) / 2;
            }
            return turn;
        });
    }

    private static double clamped(Drive drive, double command) {
        return Math.max(drive.leastCommand(), Math.min(drive.fullCommand(), command));
    }

    /** Where the sensors were, from the errors, mm to the left of the ridden path; NaN where they tell too little. */
    private record Places(double[] mm) {
        private static final int STEPS = 400;

        static Places of(double[] error, Setup setup) {
            ErrorCurve curve = ErrorCurve.of(setup);
            CurveFeatures.Range guided = CurveFeatures.of(curve).guided();
            double ride = curve.rideOffsetMm();
            double[] at = new double[STEPS + 1];
            double[] errors = new double[STEPS + 1];
            for (int i = 0; i <= STEPS; i++) {
                at[i] = guided.lowMm() + (guided.highMm() - guided.lowMm()) * i / STEPS;
                errors[i] = curve.errorAt(at[i]);
            }
            double low = INSIDE_SHARE * Math.min(errors[0], errors[STEPS]);
            double high = INSIDE_SHARE * Math.max(errors[0], errors[STEPS]);
            boolean rising = errors[STEPS] > errors[0];
            double[] mm = new double[error.length];
            for (int i = 0; i < mm.length; i++) {
                mm[i] = error[i] > low && error[i] < high ? inverse(at, errors, rising, error[i]) - ride : Double.NaN;
            }
            return new Places(mm);
        }

        private static double inverse(double[] at, double[] errors, boolean rising, double error) {
            int low = 0;
            int high = errors.length - 1;
            while (high - low > 1) {
                int middle = (low + high) / 2;
                if (errors[middle] < error == rising) {
                    low = middle;
                } else {
                    high = middle;
                }
            }
            double span = errors[high] - errors[low];
            return at[low] + (span == 0 ? 0 : (at[high] - at[low]) * (error - errors[low]) / span);
        }
    }
}
