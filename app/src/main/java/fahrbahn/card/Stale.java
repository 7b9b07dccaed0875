package fahrbahn.card;

import fahrbahn.core.difference.Cause;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Minded;
import fahrbahn.core.knowledge.Since;
import fahrbahn.core.quality.Survey;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.Sensor;
import fahrbahn.words.CauseWords;
import fahrbahn.words.FindingWords;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

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
        List<Capture> dark = Survey.counting(captures, Capture.DARK, sensors);
        List<Capture> light = Survey.counting(captures, Capture.LIGHT, sensors);
        if (dark.isEmpty() || light.isEmpty()) {
            stale.add("Dark and light: " + (light.isEmpty() ? "light" : "dark") + " was never captured.");
        } else if (survey.stop(sensors).isPresent()) {
            stale.add("Dark and light: " + FindingWords.of(survey.stop(sensors).get()));
        } else {
            Capture oldest = Stream.concat(dark.stream(), light.stream())
                    .min(Comparator.comparing(Capture::at))
                    .orElseThrow();
            Basis then = Basis.of(oldest.at(), oldest.conditions());
            Since since =
                    Since.of(then, now).aged(then, now, Minded.CAPTURES_STAY).only(Minded.BY_CAPTURES);
            add(stale, "Dark and light: ", since, venueName);
        }
        if (gains.isEmpty()) {
            stale.add("Gains: nobody has chosen them yet.");
        } else {
            add(stale, "Gains: ", Since.of(gains.get(), now).only(Minded.BY_GAINS), venueName);
        }
        return stale;
    }

    private static void add(List<String> stale, String what, Since since, UnaryOperator<String> venueName) {
        List<Cause> causes = since.causes();
        if (!causes.isEmpty()) {
            stale.add(what + CauseWords.of(causes, venueName) + ".");
        }
    }
}
