package fahrbahn.core.runlog;

import fahrbahn.core.check.Text;
import fahrbahn.core.response.ErrorCurve;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What is wrong with a robot by its log, each with its evidence, the likeliest first: what makes other faults is looked for before them
 * ({@link Fault}). Limits are chosen by us: what a coach would mend.
 */
public final class LogFaults {
    /** A fault and what shows it, as a sentence. */
    public record Found(Fault fault, String evidence) {}

    private static final double SLOW_TIMES = 1.25;
    private static final double UNEVEN_SHARE = 0.2;

    /** Of the base command: steered on a straight without need. */
    private static final double STEERS_SHARE = 0.04;

    /** Later than the setup has it by this share, and by so many standard errors. */
    private static final double LATE_SHARE = 0.3;

    private static final double LATE_ERRORS = 2.5;

    /** Slower than the setup has it by this share, and by so many standard errors: an evening's batteries differ by 4 % (sd). */
    private static final double SLOW_SHARE = 0.1;

    private static final double SLOW_ERRORS = 1.7;

    /** Of the lines: fewer that never came change nothing. */
    private static final double LOST_SHARE = 0.03;

    /** Of the most error there is: so far it went off and did not come back. */
    private static final double OFF_SHARE = 0.6;

    /** And so little back to the other side. */
    private static final double BACK_SHARE = 0.25;

    private static final String STEERED_AWAY =
            "It left the line within %.2f s and steered away from it all the while: its sensors, or its motors, are changed over, or its sign or its edge is wrong.";

    /** Of the most error there is: at it, and longer than so at a time, it asks for too little. */
    private static final double SOFT_SHARE = 0.85;

    private static final double SOFT_S = 0.25;

    /** It never finds the line again within so long: it was steered away from it. */
    private static final double AWAY_WITHIN_S = 1.5;

    private final RunLog log;
    private final Setup setup;
    private final LogFigures figures;
    private final Optional<LogFit> fit;
    private final List<Found> found = new ArrayList<>();

    private LogFaults(RunLog log, Setup setup, LogFigures figures, Optional<LogFit> fit) {
        this.log = log;
        this.setup = setup;
        this.figures = figures;
        this.fit = fit;
    }

    /** All that are found. @param figures of the same log @param fit of the same log and setup */
    public static List<Found> of(RunLog log, Setup setup, LogFigures figures, Optional<LogFit> fit) {
        return new LogFaults(log, setup, figures, fit).look();
    }

    private List<Found> look() {
        boolean rides = fit.isPresent() || figures.wiggle().isPresent();
        List<Found> readings = ReadingFaults.of(log, setup, rides);
        boolean stuck = readings.stream().anyMatch(f -> f.fault() == Fault.STUCK_SENSOR);
        if (setup.law().signal().hasError() && !stuck) {
            wrongWay();
        }
        found.addAll(readings);
        loop();
        if (setup.law().signal().hasError()) {
            unevenWheels();
            battery();
            lag();
            wiggle();
            tooSoft();
        }
        return List.copyOf(found);
    }

    private void add(Fault fault, String evidence, Object... values) {
        found.add(new Found(fault, Text.of(evidence, values)));
    }

    private double reach() {
        return reach(setup);
    }

    /** The most error there is, to the side that has less. */
    static double reach(Setup setup) {
        ErrorCurve curve = ErrorCurve.of(setup);
        return Math.min(
                Math.abs(curve.reach(1).error()), Math.abs(curve.reach(-1).error()));
    }

    private double[] error() {
        return log.column(RunLog.Column.ERROR).orElse(new double[0]);
    }

    private void wrongWay() {
        double[] error = error();
        Optional<double[]> steering = log.column(RunLog.Column.STEERING);
        if (error.length == 0 || steering.isEmpty()) {
            return;
        }
        double both = 0;
        double alone = 0;
        for (int i = 0; i < error.length; i++) {
            both += error[i] * steering.get()[i];
            alone += error[i] * error[i];
        }
        double sign = ErrorCurve.of(setup).steerSign();
        if (setup.law().kp() > 0
                && alone > 0
                && sign * both / alone < -0.2 * setup.law().kp()) {
            add(Fault.WRONG_WAY, "It steers against its own law: to %s where the law has %s.", side(-sign), side(sign));
            return;
        }
        double awayS = steeredAwayS(error);
        if (awayS < AWAY_WITHIN_S) {
            add(Fault.WRONG_WAY, STEERED_AWAY, awayS);
        }
    }

    /**
     * When its error was largest, if it grew to one side from the start and never came back over the middle; infinite otherwise. Two sensors
     * astride see nothing beyond the line: then the error falls again, though the robot is further off.
     */
    private double steeredAwayS(double[] error) {
        double reach = reach();
        int peak = 0;
        for (int i = 0; i < error.length && log.tS(i) - log.tS(0) < AWAY_WITHIN_S; i++) {
            peak = Math.abs(error[i]) > Math.abs(error[peak]) ? i : peak;
        }
        double side = Math.signum(error[peak]);
        boolean never = Math.abs(error[peak]) > OFF_SHARE * reach;
        for (int i = 0; never && i < error.length; i++) {
            never = side * error[i] > -BACK_SHARE * reach;
        }
        boolean ended = log.tS(error.length - 1) - log.tS(0) < 2 * AWAY_WITHIN_S;
        boolean stays = Math.abs(error[error.length - 1]) > OFF_SHARE * reach;
        return never && (ended || stays && staysFrom(error, peak))
                ? log.tS(peak) - log.tS(0)
                : Double.POSITIVE_INFINITY;
    }

    private boolean staysFrom(double[] error, int peak) {
        double far = OFF_SHARE * reach() / 2;
        for (int i = peak; i < error.length; i++) {
            if (Math.abs(error[i]) < far) {
                return false;
            }
        }
        return true;
    }

    private static String side(double sign) {
        return sign > 0 ? "one side" : "the other";
    }

    private void loop() {
        double period = setup.robot().loop().periodS();
        LogGaps gaps = LogGaps.of(log);
        if (gaps.lostShare() > LOST_SHARE) {
            add(
                    Fault.LOST_LINES,
                    "%.0f of 100 lines of the log never came; a loop takes %.1f ms.",
                    100 * gaps.lostShare(),
                    1000 * gaps.periodS());
        }
        if (gaps.periodS() > SLOW_TIMES * period) {
            add(
                    Fault.SLOW_LOOP,
                    "A loop takes %.1f ms; the gains were chosen for %.1f ms.",
                    1000 * gaps.periodS(),
                    1000 * period);
        }
        if (gaps.sdS() > UNEVEN_SHARE * gaps.periodS()) {
            add(Fault.UNEVEN_LOOP, "Loops take %.1f ms, ± %.1f ms.", 1000 * gaps.periodS(), 1000 * gaps.sdS());
        }
    }

    private void unevenWheels() {
        Optional<double[]> steering = log.column(RunLog.Column.STEERING);
        if (steering.isEmpty() || figures.wiggle().isPresent()) {
            return; // a wiggle hides what the wheels do
        }
        double mean = LogSteadiness.straight(log, steering.get());
        double base = setup.law().baseCommand();
        if (Math.abs(mean) > STEERS_SHARE * base) {
            add(
                    Fault.UNEVEN_WHEELS,
                    "On a straight it steers %s to the %s all the time: the %s wheel turns more than the other.",
                    Text.digits(Math.abs(mean), 2),
                    mean > 0 ? "left" : "right",
                    mean > 0 ? "left" : "right");
        }
    }

    private void battery() {
        if (figures.wiggle().isPresent()) {
            return; // it tells of one frequency alone
        }
        double believed = setup.speedMmPerS();
        fit.map(LogFit::speedMmPerS)
                .filter(v -> v.value() < (1 - SLOW_SHARE) * believed)
                .filter(v -> v.value() + SLOW_ERRORS * v.sd() < believed)
                .ifPresent(v -> add(
                        Fault.LOW_BATTERY,
                        "It drives %.0f mm/s, ± %.0f, where its setup says %.0f: the battery is low, or its wheels are smaller.",
                        v.value(),
                        v.sd(),
                        believed));
    }

    private void lag() {
        double setUpS = setup.robot().drive().lagS() + setup.robot().loop().delayS();
        fit.ifPresent(told -> {
            double late = told.effectS().value() - setUpS;
            if (late > LATE_SHARE * setUpS
                    && late > LATE_ERRORS * told.effectS().sd()) {
                add(
                        Fault.LAG,
                        "From a reading to its effect it takes %.0f ms, ± %.0f; the setup has %.0f ms.",
                        1000 * told.effectS().value(),
                        1000 * told.effectS().sd(),
                        1000 * setUpS);
            }
        });
    }

    private void wiggle() {
        figures.wiggle()
                .ifPresent(wiggle -> add(
                        setup.law().kd() == 0 ? Fault.NO_DAMPING : Fault.TOO_SHARP,
                        setup.law().kd() == 0
                                ? "It wiggles with a period of %.2f s, and nothing damps it: Kd is 0."
                                : "It wiggles with a period of %.2f s: Kp or Kd is too large.",
                        wiggle.periodS()));
    }

    private void tooSoft() {
        double[] error = error();
        double far = SOFT_SHARE * reach();
        double longest = 0;
        double began = Double.NaN;
        for (int i = 0; i < error.length; i++) {
            if (Math.abs(error[i]) < far) {
                began = Double.NaN;
            } else {
                began = Double.isNaN(began) ? log.tS(i) : began;
                longest = Math.max(longest, log.tS(i) - began);
            }
        }
        if (longest > SOFT_S && figures.wiggle().isEmpty()) {
            add(Fault.TOO_SOFT, "Its error stood at its most for %.2f s: it asks for too little in a bend.", longest);
        }
    }
}
