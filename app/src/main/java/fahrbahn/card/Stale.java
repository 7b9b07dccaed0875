package fahrbahn.card;

import fahrbahn.core.difference.Cause;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.FreshnessRule;
import fahrbahn.core.quality.Captured;
import fahrbahn.core.quality.Survey;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.Sensor;
import fahrbahn.words.CauseWords;
import fahrbahn.words.FindingWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** What of the numbers on a card does not hold any more, and since what. */
public final class Stale {
    private Stale() {}

    /**
     * @param now how things stand
     * @param captures of the robot, oldest first
     * @param survey what they say
     * @param gains what its gains were chosen for; empty when nobody chose them
     * @param venueName what a venue is called
     */
    public static List<String> of(
            Basis now, List<Capture> captures, Survey survey, Optional<Basis> gains, UnaryOperator<String> venueName) {
        List<String> stale = new ArrayList<>();
        List<String> sensors = now.setup()
                .map(s -> s.robot().sensors().stream().map(Sensor::name).toList())
                .orElse(List.of());
        Captured captured = Captured.of(captures, sensors);
        if (captured.missing().isPresent()) {
            stale.add("Dark and light: " + captured.missing().get() + " not captured.");
        } else if (survey.stop(sensors).isPresent()) {
            stale.add("Dark and light: " + FindingWords.of(survey.stop(sensors).get()));
        } else {
            add(stale, "Dark and light: ", captured.outdatedSince(now), venueName);
        }
        if (gains.isEmpty()) {
            stale.add("Gains: none chosen yet.");
        } else {
            add(stale, "Gains: ", FreshnessRule.GAINS.since(gains.get(), now).causes(), venueName);
        }
        return stale;
    }

    private static void add(List<String> stale, String what, List<Cause> causes, UnaryOperator<String> venueName) {
        if (!causes.isEmpty()) {
            stale.add(what + CauseWords.of(causes, venueName) + ".");
        }
    }
}
