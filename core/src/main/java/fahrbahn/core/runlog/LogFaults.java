package fahrbahn.core.runlog;

import fahrbahn.core.check.Text;
import fahrbahn.core.response.ErrorCurve;
import fahrbahn.core.setup.Law;
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

    private static final double LATE_ERRORS = 3;

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
        if (setup.law().kind() != Law.Kind.PATTERN) {
            wrongWay();
        }
        boolean rides = fit.isPresent() || figures.wiggle().isPresent();
        found.addAll(ReadingFaults.of(log, setup, rides));
        loop();
        if (setup.law().kind() != Law.Kind.PATTERN) {
            unevenWheels();
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
        double far = SOFT_SHARE * reach();
        int at = 0;
        while (at < error.length && Math.abs(error[at]) < far) {
            at++;
        }
        boolean never = at < error.length;
        for (int i = at; never && i < error.length; i++) {
            never = Math.abs(error[i]) > far / 3;
        }
        double untilS = at < error.length ? log.tS(at) - log.tS(0) : Double.POSITIVE_INFINITY;
        if (never && untilS < AWAY_WITHIN_S) {
            add(
                    Fault.WRONG_WAY,
                    "It left the line within %.2f s and steered all the while: what it takes for left is right.",
                    untilS);
        }
    }

    private static String side(double sign) {
        return sign > 0 ? "one side" : "the other";
    }

    private void loop() {
        double period = setup.robot().loop().periodS();
        double mean = figures.loopPeriodS().mean();
        if (mean > SLOW_TIMES * period) {
            add(
                    Fault.SLOW_LOOP,
                    "A loop takes %.1f ms; the gains were chosen for %.1f ms.",
                    1000 * mean,
                    1000 * period);
        }
        if (figures.loopPeriodS().sd() > UNEVEN_SHARE * mean) {
            add(
                    Fault.UNEVEN_LOOP,
                    "Loops take %.1f ms, give or take %.1f ms.",
                    1000 * mean,
                    1000 * figures.loopPeriodS().sd());
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

    private void lag() {
        double setUpS = setup.robot().drive().lagS() + setup.robot().loop().delayS();
        fit.ifPresent(told -> {
            double late = told.effectS().value() - setUpS;
            if (late > LATE_SHARE * setUpS
                    && late > LATE_ERRORS * told.effectS().sd()) {
                add(
                        Fault.LAG,
                        "From a reading to its effect it takes %.0f ms, give or take %.0f; the setup has %.0f ms.",
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
