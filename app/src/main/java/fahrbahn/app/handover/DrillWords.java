package fahrbahn.app.handover;

import fahrbahn.core.drill.Drill;
import fahrbahn.core.drill.DrillFault;
import fahrbahn.core.drill.DrillScore;
import fahrbahn.core.drill.DrillScore.Answer;
import fahrbahn.core.trials.Completion;
import fahrbahn.words.Words;
import java.util.Optional;

/** What is said in drills. */
final class DrillWords {
    private DrillWords() {}

    static String name(DrillFault fault) {
        return switch (fault) {
            case TOO_SOFT -> "too soft";
            case TOO_SHARP -> "too sharp";
            case NO_DAMPING -> "no damping";
            case LAG -> "lag";
            case SWAPPED -> "sensors swapped";
            case WRONG_EDGE -> "wrong edge";
            case LEVELS -> "levels off";
            case GLARE -> "glare";
            case SLOW_LOOP -> "slow loop";
            case WORN_WHEELS -> "worn wheel";
            case FLAT_BATTERY -> "flat battery";
            case CREASE -> "crease";
            case SATURATED -> "saturated";
        };
    }

    /** What to do next about it. */
    static String next(DrillFault fault) {
        return switch (fault) {
            case TOO_SOFT -> "Next: more Kp, by a fifth, or slower.";
            case TOO_SHARP -> "Next: less of both gains, by a fifth.";
            case NO_DAMPING -> "Next: give it Kd, as much as Kp to begin with.";
            case LAG -> "Next: find what is late: a slower loop, a filter, loose gears; until then slower, or less Kp.";
            case SWAPPED -> "Next: change the plugs or the names, and check the sign by hand.";
            case WRONG_EDGE -> "Next: put it on the other edge, or change the sign.";
            case LEVELS -> "Next: capture dark and light again here, and type them anew.";
            case GLARE -> "Next: find the lamp that is mirrored; shade the sensors, or hold them lower.";
            case SLOW_LOOP -> "Next: take out of the loop what waits: displays, prints, sounds.";
            case WORN_WHEELS -> "Next: clean or change the wheel that pulls less; then measure left against right.";
            case FLAT_BATTERY -> "Next: swap the battery, then one slow run.";
            case CREASE -> "Next: smooth the mat, or capture beside the crease.";
            case SATURATED -> "Next: hold the sensor higher, or turn its lamp or its gain down.";
        };
    }

    static String state(Optional<Drill> drill, Optional<Answer> answer, boolean working) {
        if (working) {
            return "A stranger's robot is driven.";
        }
        if (drill.isEmpty()) {
            return "Press Space for a drill: look at what a robot shows, and say what is wrong with it.";
        }
        return answer.map(a -> (a.right() ? "Right: " : "It was not " + name(a.said()) + ". It is ") + name(a.fault())
                        + ". " + drill.get().evidence() + " " + next(a.fault()))
                .orElse("What is wrong with it? One key; the first counts.");
    }

    /** What the team has programmed, which an eye needs to judge what it sees. */
    static String robot(Drill drill) {
        var law = drill.believed().law();
        String gains = "Kp " + Words.number(law.kp()) + ", Kd " + Words.number(law.kd()) + " at "
                + Words.number(law.baseCommand()) + ", loop "
                + Words.number(1000 * drill.believed().robot().loop().periodS())
                + " ms";
        return drill.run()
                .map(run -> gains + ". " + (run.completed() ? "Laps: " : "It left the line. Times: ")
                        + String.join(
                                ", ",
                                run.lapsS().stream().map(Words::hundredths).toList()) + " s")
                .orElse("Held still over dark, then over light");
    }

    static String score(DrillScore score, DrillFault fault) {
        return score.of(fault)
                .map(c -> c.completed() + " of " + c.runs() + " (" + Words.percent(c.low()) + " to "
                        + Words.percent(c.high()) + ")")
                .orElse("");
    }

    static String total(DrillScore score) {
        int n = score.answers().size();
        if (n == 0) {
            return "Nothing answered yet; who guesses is right once in " + DrillFault.values().length + ".";
        }
        Completion all = Completion.of(
                (int) score.answers().stream().filter(Answer::right).count(), n);
        return all.completed() + " of " + n + " seen, " + Words.percent(all.low()) + " to " + Words.percent(all.high())
                + " with 95 % certainty; hard ones come sooner.";
    }
}
