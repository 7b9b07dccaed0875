package fahrbahn.app.robot.bench;

import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.measuring.Measured;
import fahrbahn.core.setup.Setup;
import fahrbahn.words.Words;
import java.util.Optional;
import java.util.stream.Collectors;

/** What was hidden while a card was practised, beside what was found. */
final class PracticeWords {
    private PracticeWords() {}

    static String secret(Practice.Stage stage, Optional<BenchCard.Result> found) {
        return Practice.measuredBy(stage.card().orElseThrow()).stream()
                .map(constant ->
                        one(constant, stage.hidden(), found.map(r -> r.found().get(constant))))
                .collect(Collectors.joining(" "));
    }

    private static String one(Constant constant, Setup hidden, Optional<Measured> found) {
        double unit = KnowledgeWords.unitFactor(constant);
        double truth = constant.of(hidden);
        String was =
                capital(constant.word()) + " was " + Words.number(unit * truth) + " " + KnowledgeWords.unit(constant);
        if (found.isEmpty()) {
            return was + ".";
        }
        Measured yours = found.get();
        double off = Math.abs(yours.value() - truth);
        String verdict = off <= yours.plusMinus()
                ? ": inside your range."
                : ": outside your range by " + Words.number(off / yours.plusMinus(), 2) + " times.";
        return was + ", you found " + Words.number(unit * yours.value()) + " \u00b1 "
                + Words.number(unit * yours.plusMinus(), 2) + verdict;
    }

    private static String capital(String word) {
        return Character.toUpperCase(word.charAt(0)) + word.substring(1);
    }
}
