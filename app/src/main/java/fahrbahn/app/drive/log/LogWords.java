package fahrbahn.app.drive.log;

import fahrbahn.app.drive.log.LogModel.Shown;
import fahrbahn.core.runlog.Fault;
import fahrbahn.core.runlog.LogFaults.Found;
import fahrbahn.core.runlog.LogFit.Told;
import fahrbahn.core.runlog.OnTheWay;
import fahrbahn.core.runlog.Wiggle;
import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** What a robot's own log tells, in words. */
final class LogWords {
    /** How a constant was measured. */
    static final String BY_LOG = "from the robot's own log";

    /** Clocks of programs tell no less. */
    private static final double EVEN_MS = 0.001;

    private LogWords() {}

    static String sound(Shown shown) {
        return "Nothing wrong in this log of " + Words.seconds(lengthS(shown)) + ". U: use its motor lag.";
    }

    /** What it could not be judged by, and what it shows all the same. */
    static String tooLittle(Shown shown) {
        List<String> missing = shown.log().missing();
        String why =
                missing.isEmpty() ? "too short on the line." : "it has no " + String.join(" and no ", missing) + ".";
        return "Too little in this log: " + why + " "
                + shown.figures().wiggle().map(LogWords::wiggle).orElse("No wiggle in it.");
    }

    /** The likeliest fault, and what to do. */
    static String faulty(Shown shown) {
        Found first = shown.faults().get(0);
        return first.evidence() + " " + mend(first.fault());
    }

    private static String mend(Fault fault) {
        return switch (fault) {
            case WRONG_WAY -> "Check the steering direction by hand: on dark one way, on light the other.";
            case STUCK_SENSOR -> "Look at its plug and its lamp.";
            case GLARE -> "Shade the table, and look for a crease there.";
            case LEVELS -> "See the captures in Measure (3).";
            case LOST_LINES -> "Log every second loop, or over a cable.";
            case LOW_BATTERY -> "Charge it, and time its speed in Robot (1).";
            case SLOW_LOOP -> "Type the loop time in Robot (1), or shorten the loop.";
            case UNEVEN_LOOP -> "Move occasional slow work out of the loop.";
            case UNEVEN_WHEELS -> "Check wheels and axles, then measure drift in Robot (1).";
            case LAG -> "U: use it; then choose gains again in Gains (5).";
            case NO_DAMPING -> "Add Kd, two or three times Kp, in Gains (5).";
            case TOO_SHARP -> "Lower Kp to a little over half in Gains (5).";
            case TOO_SOFT -> "Raise Kp above the bend minimum in Gains (5).";
        };
    }

    static double lengthS(Shown shown) {
        return shown.log().tS(shown.log().size() - 1) - shown.log().tS(0);
    }

    /** Each further fault; where there is none, that there is none, or that the rest could not be judged. */
    static List<String> further(Shown shown) {
        List<String> more = shown.faults().stream().skip(1).map(Found::evidence).toList();
        List<String> missing = shown.log().missing();
        String none =
                missing.isEmpty() ? "Nothing." : "Cannot be checked: no " + String.join(" and no ", missing) + ".";
        return more.isEmpty() ? List.of(none) : more;
    }

    /** Its figures, a line each. */
    static List<String> figures(Shown shown) {
        List<String> lines = new ArrayList<>();
        double scatterMs = 1000 * shown.figures().loopPeriodS().sd();
        lines.add("A loop takes "
                + Words.number(1000 * shown.figures().loopPeriodS().mean(), 3) + " ms, "
                + (scatterMs < EVEN_MS ? "even" : "± " + Words.number(scatterMs, 2) + " ms") + ", over "
                + Words.count(shown.log().size(), "tick", "ticks") + ".");
        lines.add(shown.figures().wiggle().map(LogWords::wiggle).orElse("No wiggle in its second half."));
        shown.figures()
                .meanError()
                .ifPresent(mean -> lines.add("Its error is " + Words.number(mean, 2) + " on average."));
        shown.figures()
                .saturatedShare()
                .ifPresent(share -> lines.add("A wheel is at its limit " + Words.percent(share) + " of the time."));
        shown.way()
                .straightSteering()
                .ifPresent(s -> lines.add("On a straight it steers " + Words.number(Math.abs(s), 2)
                        + (s == 0 ? "." : s > 0 ? " to the left." : " to the right.")));
        shown.way().lost().ifPresent(lost -> lines.add(lost(lost)));
        return List.copyOf(lines);
    }

    private static String lost(List<OnTheWay.Lost> lost) {
        if (lost.isEmpty()) {
            return "It never lost the line for 0.1 s.";
        }
        return "It did not see the line " + Words.count(lost.size(), "time", "times") + ": "
                + lost.stream()
                        .limit(4)
                        .map(l -> "at " + Words.number(l.atS(), 3) + " s for " + Words.number(l.lengthS(), 2) + " s")
                        .collect(Collectors.joining(", "))
                + (lost.size() > 4 ? " and on." : ".");
    }

    private static String wiggle(Wiggle wiggle) {
        return "It wiggles with a period of " + Words.number(wiggle.periodS(), 2) + " s, "
                + Words.number(wiggle.amplitude(), 2) + " of the error to each side.";
    }

    /** What it tells of the robot, a line each. */
    static List<String> fit(Shown shown) {
        return shown.fit()
                .map(fit -> List.of(
                        "lag " + ms(fit.lagS()) + ", reading delay " + ms(fit.delayS()) + ", together "
                                + ms(fit.effectS()),
                        "speed " + Words.number(fit.speedMmPerS().value(), 3) + " \u00b1 "
                                + Words.number(fit.speedMmPerS().sd(), 2) + " mm/s",
                        "slope " + Words.number(fit.slopeShare().value(), 2) + " \u00b1 "
                                + Words.number(fit.slopeShare().sd(), 1) + " times what the setup has"))
                .orElse(List.of(
                        "Motor lag, reading delay and speed need error and steering over some seconds of straight."));
    }

    private static String ms(Told told) {
        return Words.number(1000 * told.value(), 2) + " \u00b1 " + Words.number(1000 * told.sd(), 2) + " ms";
    }
}
