package fahrbahn.core.runlog;

import fahrbahn.core.check.Text;
import fahrbahn.core.response.ErrorCurve;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * What is wrong with a robot by its log, each with its evidence, the likeliest first: what makes other faults is looked for before them
 * ({@link Fault}). Limits are chosen by us: what a coach would mend.
 */
public final class LogFaults {
    /** A fault and what shows it, as a sentence. */
    public record Found(Fault fault, String evidence) {}

    /** Of the contrast: readings so far beyond dark and light are none of the table's. */
    private static final double GLARE_SHARE = 0.35;

    private static final int GLARE_TICKS = 3;

    /** Of the contrast: dark, light or the middle of two sensors astride so far from where the program has them. */
    private static final double LEVEL_SHARE = 0.1;

    /** A sensor that shows one value so often, while another moves by a tenth of its contrast, is stuck. */
    private static final double STUCK_SHARE = 0.9;

    private static final double MOVES_SHARE = 0.1;
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
        readings();
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

    private void readings() {
        List<Sensor> sensors = setup.lawSensors();
        for (int i = 0; i < sensors.size(); i++) {
            int column = log.sensors().indexOf(sensors.get(i).name());
            if (column >= 0) {
                double[] readings = log.readings(column);
                stuck(sensors.get(i), readings);
                glare(sensors.get(i), readings);
            }
        }
        levels(sensors);
    }

    private void stuck(Sensor sensor, double[] readings) {
        double[] sorted = readings.clone();
        Arrays.sort(sorted);
        double usual = sorted[sorted.length / 2];
        long same = Arrays.stream(readings).filter(r -> r == usual).count();
        double[] error = error();
        double moved = error.length == 0
                ? 0
                : Arrays.stream(error).max().orElseThrow()
                        - Arrays.stream(error).min().orElseThrow();
        if (same >= STUCK_SHARE * readings.length && moved > MOVES_SHARE * reach()) {
            add(
                    Fault.STUCK_SENSOR,
                    "Sensor %s shows %s in %.0f of 100 ticks, while the error moves by %s.",
                    sensor.name(),
                    Text.digits(usual, 3),
                    100.0 * same / readings.length,
                    Text.digits(moved, 2));
        }
    }

    private void glare(Sensor sensor, double[] readings) {
        double low = Math.min(sensor.dark(), sensor.light()) - GLARE_SHARE * sensor.contrast();
        double high = Math.max(sensor.dark(), sensor.light()) + GLARE_SHARE * sensor.contrast();
        int ticks = 0;
        double furthest = 0;
        double atS = 0;
        for (int i = 0; i < readings.length; i++) {
            if (readings[i] < low || readings[i] > high) {
                atS = ticks == 0 ? log.tS(i) : atS;
                ticks++;
                double beyond = readings[i] > high ? readings[i] - high : readings[i] - low;
                furthest = Math.abs(beyond) > Math.abs(furthest) ? beyond : furthest;
            }
        }
        if (ticks >= GLARE_TICKS) {
            add(
                    Fault.GLARE,
                    "Sensor %s shows up to %s in %d ticks, from %.2f s on, where the table has %s to %s.",
                    sensor.name(),
                    Text.digits((furthest > 0 ? high : low) + furthest, 3),
                    ticks,
                    atS,
                    Text.digits(sensor.dark(), 3),
                    Text.digits(sensor.light(), 3));
        }
    }

    /** Two astride see half the line each: their middle is the middle of dark and light. One on its edge shows how far its readings go. */
    private void levels(List<Sensor> sensors) {
        for (Sensor sensor : sensors) {
            int column = log.sensors().indexOf(sensor.name());
            if (column < 0) {
                return;
            }
            double[] sorted = log.readings(column);
            Arrays.sort(sorted);
            double[] ends = {sorted[(int) (0.01 * (sorted.length - 1))], sorted[(int) (0.99 * (sorted.length - 1))]};
            double low = Math.min(sensor.dark(), sensor.light());
            double high = Math.max(sensor.dark(), sensor.light());
            double beyond = Math.max(low - ends[0], ends[1] - high) / sensor.contrast();
            if (beyond > LEVEL_SHARE) {
                add(
                        Fault.LEVELS,
                        "Sensor %s reads from %s to %s where the program has %s to %s: capture it anew.",
                        sensor.name(),
                        Text.digits(ends[0], 3),
                        Text.digits(ends[1], 3),
                        Text.digits(low, 3),
                        Text.digits(high, 3));
                return;
            }
        }
        if (setup.law().kind() == Law.Kind.PAIR && sensors.size() == 2) {
            astride(sensors);
        }
    }

    private void astride(List<Sensor> sensors) {
        double share = 0;
        for (Sensor sensor : sensors) {
            double mean = Arrays.stream(log.readings(log.sensors().indexOf(sensor.name())))
                    .average()
                    .orElseThrow();
            share += (mean - sensor.dark()) / (sensor.light() - sensor.dark()) / 2;
        }
        double expected = fit.isPresent() || figures.wiggle().isPresent() ? 0.5 : Double.NaN;
        if (Math.abs(share - expected) > LEVEL_SHARE) {
            add(
                    Fault.LEVELS,
                    "Astride the line its sensors read %.0f %% of the way from dark to light, not 50 %%: capture both anew.",
                    100 * share);
        }
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
