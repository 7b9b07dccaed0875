package fahrbahn.app.season;

import fahrbahn.core.difference.Cause;
import fahrbahn.core.difference.SetupDifference;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.setup.Setup;
import fahrbahn.words.CauseWords;
import fahrbahn.words.Words;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** What the steps of undo are called. */
final class SeasonWords {
    private SeasonWords() {}

    static String setup(Setup before, Setup after) {
        String on = " on " + after.robot().name();
        List<Cause> causes = SetupDifference.between(before, after);
        if (causes.isEmpty()) {
            return before.robot().name().equals(after.robot().name())
                    ? "the setup" + on
                    : before.robot().name() + " is called " + after.robot().name();
        }
        return CauseWords.label(causes, v -> v) + on;
    }

    static String conditions(Conditions before, Conditions after, String robot, UnaryOperator<String> venueName) {
        List<Cause> causes = before.changesTo(after);
        return (causes.isEmpty() ? "here and now" : CauseWords.label(causes, venueName)) + ", " + robot;
    }

    static String captures(List<Capture> captures, String robot) {
        String surfaces =
                captures.stream().map(Capture::surface).distinct().limit(3).collect(Collectors.joining(", "));
        return (captures.size() == 1 ? "capture of " : Words.count(captures.size(), "capture", "captures") + ": ")
                + surfaces + " on " + robot;
    }
}
