package fahrbahn.app.drive.run;

import fahrbahn.core.law.Controller.Doing;
import fahrbahn.core.review.Loss;
import fahrbahn.core.review.LossFactors.Factor;
import fahrbahn.core.review.Why;
import fahrbahn.core.setup.Setup;
import fahrbahn.words.Words;
import java.util.Map;

/** Where and why a run was lost, and what makes many lost, in words. */
public final class LossWords {
    /** A shorter time without the line is not worth a word. */
    private static final double LEAST_BLIND_S = 0.02;

    private static final Map<Class<? extends Why>, String> SORTS = Map.ofEntries(
            Map.entry(Why.NotEnoughTurn.class, "bend too tight"),
            Map.entry(Why.TooSoft.class, "steering too weak for the bend"),
            Map.entry(Why.TooLate.class, "steering too late for the bend"),
            Map.entry(Why.Wiggled.class, "wiggled off the line"),
            Map.entry(Why.Corner.class, "missed the corner"),
            Map.entry(Why.Unguided.class, "missed the line behind a gap"),
            Map.entry(Why.TurnedAway.class, "steered away by a rule"),
            Map.entry(Why.BadStart.class, "started too far off"),
            Map.entry(Why.TurnedRound.class, "turned round"),
            Map.entry(Why.TooSlow.class, "took too long"),
            Map.entry(Why.HitObstacle.class, "hit the obstacle"),
            Map.entry(Why.Stopped.class, "stopped before the finish"),
            Map.entry(Why.Drifted.class, "drifted off a straight"));

    private LossWords() {}

    /** The place and the reason in a sentence or two. */
    public static String sentence(Loss loss, Setup setup) {
        String place = "Lost " + Words.where(loss.part()) + ", " + Words.number(loss.sMm() / 1000, 2)
                + " m along, to the " + (loss.onLeft() ? "left" : "right") + ": ";
        return place + reason(loss.why()) + "." + blind(loss, setup);
    }

    private static String blind(Loss loss, Setup setup) {
        if (!(loss.blindS() >= LEAST_BLIND_S)
                || loss.why() instanceof Why.TooSlow
                || loss.why() instanceof Why.HitObstacle
                || loss.why() instanceof Why.Stopped) {
            return "";
        }
        int sensors = setup.lawSensors().size();
        String which = sensors == 1 ? "Its sensor was" : sensors == 2 ? "Both sensors were" : "All sensors were";
        return " " + which + " on background for " + Words.number(1000 * loss.blindS(), 2) + " ms.";
    }

    /** Why, to read after a colon. */
    public static String reason(Why why) {
        if (why instanceof Why.NotEnoughTurn turn) {
            return Double.isInfinite(turn.moreShare())
                    ? "the bend is too tight with the sensors this far ahead"
                    : "it needed " + Words.percent(turn.moreShare()) + " more turn than full steering gives";
        }
        if (why instanceof Why.TooSoft soft) {
            return "it steered " + Words.number(soft.asked(), 2) + " where the bend needs "
                    + Words.number(soft.needed(), 2) + ", so Kp is too small for it";
        }
        if (why instanceof Why.TooLate late) {
            return "it steered too late: from a reading to its effect takes " + Words.number(1000 * late.lagS(), 2)
                    + " ms";
        }
        if (why instanceof Why.Wiggled wiggled) {
            return "it wiggled, from " + Words.number(wiggled.firstMm(), 2) + " to " + Words.number(wiggled.lastMm(), 2)
                    + " mm with a period of " + Words.number(wiggled.periodS(), 2) + " s, so the gains are too large";
        }
        if (why instanceof Why.Corner corner) {
            return corner.drove() == Doing.FOLLOWING
                    ? "a PD line follower cannot take a square corner: add a corner turn"
                    : doing(corner.drove()) + " did not turn it at the corner";
        }
        if (why instanceof Why.Unguided gap) {
            return "it came to the gap " + Words.number(Math.abs(gap.asideMm()), 2) + " mm off the line and "
                    + Words.number(Math.abs(Math.toDegrees(gap.aslantRad())), 2)
                    + "° askew, and missed the line behind it";
        }
        if (why instanceof Why.HitObstacle hit) {
            return hit.goesRound()
                    ? "it hit the obstacle on its detour"
                    : "it ran into the obstacle: no detour in its program (page Detour)";
        }
        if (why instanceof Why.TurnedAway turned) {
            return doing(turned.rule()) + " steered it away from the line";
        }
        if (why instanceof Why.BadStart start) {
            return "it started " + Words.number(Math.abs(start.asideMm()), 2) + " mm off the line and "
                    + Words.number(Math.abs(Math.toDegrees(start.aslantRad())), 2) + "° aslant";
        }
        if (why instanceof Why.Stopped) {
            return "all its sensors saw the line, and its program stops then";
        }
        if (why instanceof Why.TurnedRound round) {
            return "it turned round" + (round.drove() == Doing.FOLLOWING ? "" : ", by " + doing(round.drove()));
        }
        return why instanceof Why.TooSlow
                ? "it took four times as long as it should"
                : "on a straight: check what is there";
    }

    /** A sort of reason, to read after a number of runs. */
    public static String sort(Class<? extends Why> sort) {
        return SORTS.getOrDefault(sort, "lost otherwise");
    }

    /** What drives, to read in a sentence. */
    public static String doing(Doing doing) {
        return switch (doing) {
            case FOLLOWING -> "the control";
            case BLANKED -> "waiting out a crossing";
            case STOPPED -> "the stop with all sensors on the line";
            case EMERGENCY -> "an emergency sensor";
            case LOST_RULE -> "the rule for a lost line";
            case AROUND_OBSTACLE -> "the detour";
            case CROSSING -> "the way through a crossing";
            case TURNING -> "the turn at a crossing";
        };
    }

    /** One condition and its share, to read in a list. */
    static String factor(Factor factor) {
        return condition(factor) + " (" + Words.percent(factor.share()) + ")";
    }

    /** A condition and which way, to read in a list. */
    public static String condition(Factor factor) {
        int side = factor.side();
        return switch (factor.condition()) {
            case BATTERY -> side < 0 ? "a low battery" : side > 0 ? "a full battery" : "the battery";
            case LAG -> side > 0 ? "slow wheels" : side < 0 ? "quick wheels" : "motor lag";
            case GRIP -> side > 0 ? "slip" : side < 0 ? "good grip" : "grip";
            case UNEVEN_WHEELS ->
                side > 0 ? "a right wheel that is faster" : side < 0 ? "a left wheel that is faster" : "uneven wheels";
            case LIGHT -> side > 0 ? "brighter light" : side < 0 ? "dimmer light" : "light";
            case HEIGHT -> side > 0 ? "sensors that sit high" : side < 0 ? "sensors that sit low" : "sensor height";
            case START_PLACE ->
                side > 0 ? "a start too far left" : side < 0 ? "a start too far right" : "the place of the start";
            case START_ANGLE ->
                side > 0 ? "a start turned left" : side < 0 ? "a start turned right" : "the angle of the start";
        };
    }
}
