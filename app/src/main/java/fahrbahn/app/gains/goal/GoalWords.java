package fahrbahn.app.gains.goal;

import fahrbahn.core.loop.GainAdvice;
import fahrbahn.core.tuning.race.CourseAdvice;
import fahrbahn.core.tuning.race.Goal;
import fahrbahn.core.tuning.race.LimitWords;
import fahrbahn.core.tuning.race.StartingGains;
import fahrbahn.words.ChanceWords;
import fahrbahn.words.Words;

/** Goals and what they ask for, in sentences. */
public final class GoalWords {
    public static final String ASK = "F tries every school's gains and many more on the table in hand.";

    private GoalWords() {}

    public static String goal(Goal goal) {
        return switch (goal) {
            case FINISH -> "finish first (rescue)";
            case PLACE -> "stop place first (mission)";
            case LAP -> "lap time first (sprint)";
        };
    }

    static String verdict(GoalModel.Found found) {
        CourseAdvice a = found.advice();
        String setting = "Kp " + Words.number(a.kp()) + ", Kd " + Words.number(a.kd()) + " at command "
                + Words.number(a.baseCommand());
        if (a.chance().completed() == 0) {
            return "Nothing that was tried gets round " + found.table() + ". What stops it: "
                    + LimitWords.of(a.limits()) + ".";
        }
        String place = found.goal() == Goal.PLACE
                ? ", stopping within \u00b1 " + Words.number(2 * a.placeMm(), 2) + " mm along"
                : "";
        return "Take " + setting + ": " + ChanceWords.of(a.chance(), found.table()) + ", "
                + Words.number(a.lapS(), 3) + " s" + place + ". " + margins(a.margins()) + " " + limits(a.limits())
                + ". U puts it on the robot.";
    }

    private static String margins(GainAdvice margins) {
        if (margins.gainMargin() <= 1) {
            return "On a long straight it may wiggle with them; what finishes this course decided.";
        }
        return "By loop theory it wiggles at " + Words.number(margins.gainMargin(), 2) + " times these gains and has "
                + Words.number(margins.bendMargin(), 2) + " times what the bend needs.";
    }

    private static String limits(CourseAdvice.Limits limits) {
        return limits.part().isEmpty() && !limits.full()
                ? "No limit shows up to a fifth faster"
                : "It is limited by " + LimitWords.of(limits);
    }

    static String slip(StartingGains.Slip slip) {
        return switch (slip) {
            case NONE -> "";
            case TOO_LARGE -> "far above the wiggle: a slipped decimal, or a gain for a smaller scale?";
            case TOO_SMALL -> "far below what the bend needs: a slipped decimal, or a gain for a larger scale?";
        };
    }
}
