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
    public static final String ASK = "F tries every method's gains and many more on this table.";

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
        String setting = "Kp " + Words.number(a.kp()) + ", Kd " + Words.number(a.kd()) + " at power "
                + Words.number(a.baseCommand());
        if (a.chance().completed() == 0) {
            return "No gains tried finish " + found.table() + ". Limited by: " + LimitWords.of(a.limits()) + ".";
        }
        String place = found.goal() == Goal.PLACE
                ? ", stopping within \u00b1 " + Words.number(2 * a.placeMm(), 2) + " mm along"
                : "";
        return "Take " + setting + ": " + ChanceWords.of(a.chance(), found.table()) + ", "
                + Words.number(a.lapS(), 3) + " s" + place + ". " + margins(a.margins()) + " " + limits(a.limits())
                + ". U: use it.";
    }

    private static String margins(GainAdvice margins) {
        if (margins.gainMargin() <= 1) {
            return "It may wiggle on a long straight; chosen because it finishes this course.";
        }
        return "Calculated wiggle limit: " + Words.number(margins.gainMargin(), 2) + " times these gains; "
                + Words.number(margins.bendMargin(), 2) + " times what the bend needs.";
    }

    private static String limits(CourseAdvice.Limits limits) {
        return limits.part().isEmpty() && !limits.full()
                ? "Should still finish 20 % faster"
                : "It is limited by " + LimitWords.of(limits);
    }

    static String slip(StartingGains.Slip slip) {
        return switch (slip) {
            case NONE -> "";
            case TOO_LARGE -> "far above the wiggle limit: a slipped decimal, or gains for another scale?";
            case TOO_SMALL -> "far below what the bend needs: a slipped decimal, or gains for another scale?";
        };
    }
}
