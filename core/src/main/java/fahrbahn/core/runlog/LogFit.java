package fahrbahn.core.runlog;

import fahrbahn.core.response.ErrorCurve;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Setup;
import java.util.Arrays;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/**
 * Lag, delay, speed and slope of a robot from its log: those under which the loop's model, driven by the commands that were logged, makes the
 * errors that were logged likeliest ({@link LoopFilter}). How the line bends, how noisy a look is and how uneven commands arrive are found beside
 * them; values and errors are means and spreads over all that they may be ({@link LogPosterior}).
 *
 * @param lagS of the wheels
 * @param delayS from a reading to the command it makes
 * @param speedMmPerS along the line
 * @param slopeShare slope of the error over what the setup has
 * @param effectS lag and delay together, which are known better than each of them
 */
public record LogFit(Told lagS, Told delayS, Told speedMmPerS, Told slopeShare, Told effectS) {
    /** A value and its standard error, which is above 0. */
    public record Told(double value, double sd) {}

    /** With fewer looks nothing is told. */
    private static final int LEAST_LOOKS = 200;

    /** Of the cost: so near to its lowest the draws find the rest. */
    private static final double CLOSE = 0.02;

    private static final double ROUGHLY = 0.1;

    /** Searched from more than one lag, as shares of the setup's: a slow robot looks like a quick one that is late. */
    private static final double[] FIRST_LAGS = {0.5, 1, 2.5};

    /**
     * What is known before: lag and delay of the setup to a factor of two, speed to a quarter, slope to 15 %. A log of a calm run tells the
     * product of the two better than each. Standard deviations of the logs.
     */
    private static final double[] BEFORE = {0.8, 0.5, 0.25, 0.15, 3, 2, 2};

    /** Of what is known before, in its standard deviations: beyond it the model does not fit the log. */
    private static final double FURTHEST = 4;

    private static final int UNKNOWNS = BEFORE.length;
    private static final double[] STEPS = {0.5, 0.5, 0.1, 0.1, 0.5, 0.3, 0.5};

    /** However much a log tells, the model is not the robot. */
    private static final double LEAST_ERROR = 0.01;

    /** A wiggle that goes on tells of one frequency alone, and swings to where the curve is not known well: errors are so much larger. */
    private static final double WIGGLE_TIMES = 3;

    /** Ticks less even than this tell whether a command waits for so long, or for a share of its tick. */
    private static final double UNEVEN = 0.005;

    /** Empty when the log has no error or no steering, or too little of it to tell. */
    public static Optional<LogFit> of(RunLog log, Setup setup) {
        if (!setup.law().signal().hasError()) {
            return Optional.empty();
        }
        Optional<double[]> error = log.column(RunLog.Column.ERROR);
        Optional<double[]> turn = turnCommand(log, setup);
        if (error.isEmpty() || turn.isEmpty()) {
            return Optional.empty();
        }
        LogPlaces places = LogPlaces.of(error.get(), setup);
        double[] tS = new double[log.size()];
        Arrays.setAll(tS, log::tS);
        boolean[] steady = LogSteadiness.steady(tS, turn.get());
        Drive drive = setup.robot().drive();
        double bendPerCommand = 2 * drive.speedPerCommand() / drive.effectiveTrackWidthMm() / setup.speedMmPerS();
        boolean[] straight = LogSteadiness.straights(steady, turn.get(), bendPerCommand);
        boolean[] used = places.looks(straight) >= LEAST_LOOKS ? straight : steady;
        if (places.looks(used) < LEAST_LOOKS) {
            return Optional.empty();
        }
        LoopFilter filter = new LoopFilter(
                tS, places, turn.get(), used, ErrorCurve.of(setup).leadMm());
        boolean uneven = unevenness(tS) > UNEVEN;
        boolean wiggles = Wiggle.of(tS, error.get(), log.middle()).isPresent();
        return new Fitting(filter, setup, wiggles ? WIGGLE_TIMES : 1).told(uneven);
    }

    private static double unevenness(double[] tS) {
        double mean = (tS[tS.length - 1] - tS[0]) / (tS.length - 1);
        double squares = 0;
        for (int i = 1; i < tS.length; i++) {
            squares += Math.pow(tS[i] - tS[i - 1] - mean, 2);
        }
        return Math.sqrt(squares / (tS.length - 1)) / mean;
    }

    /** The unknowns as logs of their shares of what is usual. */
    private static final class Fitting {
        private final LoopFilter filter;
        private final double[] usual;
        private final double turnPerSpeed;
        private final double errorTimes;

        Fitting(LoopFilter filter, Setup setup, double errorTimes) {
            this.filter = filter;
            this.errorTimes = errorTimes;
            Drive drive = setup.robot().drive();
            double speed = setup.speedMmPerS();
            usual = new double[] {
                Math.max(0.01, drive.lagS()),
                Math.max(0.004, setup.robot().loop().delayS()),
                speed,
                1,
                1e-6,
                0.1,
                0.0003
            };
            turnPerSpeed = 2 * drive.speedPerCommand() / drive.effectiveTrackWidthMm() / speed;
        }

        private double value(double[] logs, int i) {
            return usual[i] * Math.exp(logs[i]);
        }

        private LogPosterior posterior(boolean delayInTicks) {
            return new LogPosterior(
                    logs -> {
                        double before = 0;
                        for (int i = 0; i < UNKNOWNS; i++) {
                            before += 0.5 * logs[i] * logs[i] / (BEFORE[i] * BEFORE[i]);
                        }
                        double speed = value(logs, 2);
                        return before
                                + filter.cost(new LoopFilter.Guess(
                                        value(logs, 0),
                                        value(logs, 1),
                                        delayInTicks,
                                        speed,
                                        turnPerSpeed * speed,
                                        value(logs, 3),
                                        value(logs, 4),
                                        value(logs, 5),
                                        value(logs, 6)));
                    },
                    UNKNOWNS);
        }

        Optional<LogFit> told(boolean uneven) {
            Top best = top(posterior(false));
            if (uneven) {
                Top inTicks = top(posterior(true));
                best = inTicks.cost() < best.cost() ? inTicks : best;
            }
            for (int i = 0; i < UNKNOWNS; i++) {
                if (Math.abs(best.logs()[i]) > FURTHEST * BEFORE[i]) {
                    return Optional.empty(); // it fits no robot like this one
                }
            }
            LogPosterior.Draws draws = best.posterior().draws(best.logs());
            return Optional.of(new LogFit(
                    told(draws, x -> value(x, 0)),
                    told(draws, x -> value(x, 1)),
                    told(draws, x -> value(x, 2)),
                    told(draws, x -> value(x, 3)),
                    told(draws, x -> value(x, 0) + value(x, 1))));
        }

        private record Top(LogPosterior posterior, double[] logs, double cost) {}

        private static Top top(LogPosterior posterior) {
            double[] best = null;
            for (double lag : FIRST_LAGS) {
                double[] first = new double[UNKNOWNS];
                first[0] = Math.log(lag);
                double[] found = posterior.search(first, STEPS, ROUGHLY);
                best = best == null || posterior.cost(found) < posterior.cost(best) ? found : best;
            }
            best = posterior.search(best, STEPS, CLOSE);
            return new Top(posterior, best, posterior.cost(best));
        }

        private Told told(LogPosterior.Draws draws, ToDoubleFunction<double[]> figure) {
            double value = draws.mean(figure);
            return new Told(value, errorTimes * Math.max(LEAST_ERROR * value, draws.sd(figure)));
        }
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
}
