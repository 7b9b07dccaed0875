package fahrbahn.app.handover.drill;

import fahrbahn.core.drill.Drill;
import fahrbahn.core.drill.DrillFault;
import fahrbahn.core.drill.DrillScore;
import fahrbahn.core.drill.DrillScore.Answer;
import fahrbahn.core.drill.Offer;
import fahrbahn.core.drill.Remedy;
import fahrbahn.core.statistics.Completion;
import fahrbahn.words.Words;
import java.util.Optional;

/** What is said in drills. */
final class DrillWords {
    private DrillWords() {}

    static String name(DrillFault fault) {
        return switch (fault) {
            case TOO_SOFT -> "gains too low";
            case TOO_SHARP -> "gains too high";
            case NO_DAMPING -> "no damping";
            case LAG -> "lag";
            case SWAPPED -> "sensors swapped";
            case WRONG_EDGE -> "wrong edge";
            case LEVELS -> "thresholds off";
            case GLARE -> "glare";
            case SLOW_LOOP -> "slow loop";
            case WORN_WHEELS -> "worn wheel";
            case FLAT_BATTERY -> "flat battery";
            case CREASE -> "crease";
            case SATURATED -> "saturated";
        };
    }

    /** What may be done next, as one says it. */
    static String name(Remedy remedy) {
        return switch (remedy) {
            case STIFFER -> "twice both gains";
            case SOFTER -> "half both gains";
            case DAMPING -> "Kd twice Kp";
            case FIND_THE_LAG -> "find the delay: a filter, loose gears, slow motors";
            case CHANGE_PLUGS -> "swap the two sensor plugs";
            case OTHER_EDGE -> "place it on the other edge";
            case NEW_LEVELS -> "capture dark and light here again and type them";
            case SHADE -> "find the reflected lamp, shade the sensors";
            case QUICKER_LOOP -> "remove waits from the loop: prints, displays, sounds";
            case CHANGE_WHEEL -> "clean or change the weaker wheel";
            case CHANGE_BATTERY -> "a full battery";
            case SMOOTH_MAT -> "smooth the mat, or capture beside the crease";
            case HIGHER -> "hold the sensor higher, or turn its lamp down";
            case SLOWER -> "three quarters of the speed";
        };
    }

    static String state(Optional<Drill> drill, Optional<Answer> answer, Optional<Offer> done, boolean working) {
        if (working) {
            return "Simulating another team's robot.";
        }
        if (drill.isEmpty()) {
            return "Press Space for a drill: what is wrong with this robot?";
        }
        if (answer.isEmpty()) {
            return "What is wrong with it? Press one key.";
        }
        if (done.isEmpty()) {
            return "You say " + name(answer.get().said()) + ". What would you do next? Press one key.";
        }
        return verdict(drill.get(), answer.get()) + " " + became(drill.get(), done.get());
    }

    private static String verdict(Drill drill, Answer answer) {
        return (answer.right() ? "Right: " : "It was not " + name(answer.said()) + ". It is ") + name(answer.fault())
                + ". " + drill.evidence();
    }

    /** What it would have become with what was done, and what mends it where that does not. */
    private static String became(Drill drill, Offer done) {
        if (done.mends()) {
            return "Next, right: '" + name(done.remedy()) + "'. " + done.became();
        }
        Offer cure = drill.cure();
        String still = done.became().equals(drill.evidence()) ? "it shows as before." : done.became();
        return "Next, not '" + name(done.remedy()) + "': " + still + " Rather '" + name(cure.remedy()) + "'. "
                + cure.became();
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
            return "No answers yet; guessing scores 1 in " + DrillFault.values().length + ".";
        }
        Completion all = Completion.of(
                (int) score.answers().stream().filter(Answer::right).count(), n);
        String mended = score.mended()
                .map(c -> " What to do next: " + c.completed() + " of " + c.runs() + ", " + Words.percent(c.low())
                        + " to " + Words.percent(c.high()) + ".")
                .orElse("");
        return all.completed() + " of " + n + " seen, " + Words.percent(all.low()) + " to " + Words.percent(all.high())
                + " (likely range); hard ones come sooner." + mended;
    }
}
