package fahrbahn.app.drive.stopping;

import fahrbahn.app.drive.stopping.StopModel.Answer;
import fahrbahn.core.statistics.Completion;
import fahrbahn.core.statistics.Sample;
import fahrbahn.core.stopping.ReturnTrial;
import fahrbahn.core.stopping.Rule;
import fahrbahn.core.stopping.StopFormula;
import fahrbahn.core.stopping.StopShares;
import fahrbahn.core.stopping.StopTrial;
import fahrbahn.core.stopping.WayBack;
import fahrbahn.core.twin.Spread;
import fahrbahn.words.StoppingWords;
import fahrbahn.words.Words;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;

/** Ways to stop, in words. */
final class StopWords {
    static final String DRIVING = "Simulating every stopping rule.";

    /** Fewer logged runs say little of a scatter: a standard deviation of four is known to a factor of two or three. */
    private static final int FEWEST_LOGGED = 4;

    /** Standard deviations of 400 runs each differ by a tenth now and then where there is no difference. */
    private static final double ALIKE = 1.1;

    private StopWords() {}

    /** The simplest of those that scatter least, as far as so many runs can tell. */
    static Rule best(StopTrial trial) {
        double least =
                Arrays.stream(Rule.values()).mapToDouble(trial::scatterMm).min().orElseThrow();
        return Arrays.stream(Rule.values())
                .filter(rule -> trial.scatterMm(rule) <= ALIKE * least)
                .findFirst()
                .orElseThrow();
    }

    static String verdict(Answer answer) {
        StopTrial all = answer.shares().all();
        Rule best = best(all);
        String window = Words.number(answer.plan().windowMm(), 3) + " mm";
        String sentence = "Stop by " + StoppingWords.name(best) + ": it stops within " + window + " in "
                + driven(all.within(best, answer.plan().windowMm())) + ", scatter "
                + StoppingWords.mm(all.scatterMm(best)) + ".";
        if (best == Rule.TIMER) {
            return sentence;
        }
        return sentence + " A timer over "
                + Words.number(answer.plan().sensing().wayMm(), 4) + " mm scatters "
                + StoppingWords.mm(all.scatterMm(Rule.TIMER)) + " and does so in "
                + all.within(Rule.TIMER, answer.plan().windowMm()).completed() + ".";
    }

    /** How many of which runs. */
    private static String driven(Completion within) {
        return within.completed() + " of " + within.runs() + " runs on a straight (" + chance(within) + ")";
    }

    static String chance(Completion within) {
        return Words.percent(within.low()) + " to " + Words.percent(within.high());
    }

    /** Beside the twin's figure. */
    static String formula(Answer answer, Rule rule) {
        OptionalDouble formula =
                StopFormula.scatterMm(rule, answer.setup(), answer.plan().sensing(), Spread.TYPICAL);
        return formula.isPresent()
                ? "By calculation alone: " + StoppingWords.mm(formula.getAsDouble()) + "."
                : "Simulated only.";
    }

    /** What the rule's scatter comes from, what would be left without it, and what to do. */
    static List<String> better(Answer answer, Rule rule) {
        return answer.shares().of(rule).stream()
                .map(part -> better(part, rule, answer.shares().all().scatterMm(rule)))
                .toList();
    }

    private static String better(StopShares.Part part, Rule rule, double nowMm) {
        return capital(StoppingWords.cause(part.cause())) + " makes " + Words.percent(part.share())
                + " of it: without, " + StoppingWords.mm(nowMm) + " would be " + StoppingWords.mm(part.withoutMm())
                + ". " + StoppingWords.cure(part.cause(), rule);
    }

    private static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    /** Nothing where speed makes no difference. */
    static String slower(Answer answer, Rule rule) {
        double now = answer.shares().all().scatterMm(rule);
        if (Math.abs(answer.shares().atHalfSpeed().scatterMm(rule) / now - 1) < ALIKE - 1) {
            return "Half the speed would not change it.";
        }
        return "At half the speed the scatter would be "
                + StoppingWords.mm(answer.shares().atHalfSpeed().scatterMm(rule)) + " instead of "
                + StoppingWords.mm(answer.shares().all().scatterMm(rule)) + ".";
    }

    static String backHead(Rule rule) {
        return "Back the same way, after stopping by " + StoppingWords.name(rule);
    }

    /** A row for each way back: its name, how it scatters along, across and in heading, and the chance to be home in the window both ways. */
    static List<List<String>> back(StopModel.Back back) {
        return Arrays.stream(WayBack.values())
                .map(way -> {
                    ReturnTrial.Homes homes = back.trial().homes().get(way);
                    return List.of(
                            StoppingWords.name(way),
                            scatter(homes.alongMm(), 1, 2),
                            scatter(homes.acrossMm(), 1, 2),
                            scatter(homes.headingRad(), Math.toDegrees(1), 2),
                            chance(back.trial().within(way, back.windowMm())));
                })
                .toList();
    }

    private static String scatter(Sample sample, double unit, int figures) {
        return sample.n() < 2 ? "\u2013" : Words.number(unit * sample.sd(), figures);
    }

    static String logged(Sample logged) {
        int runs = logged.n();
        if (runs < FEWEST_LOGGED) {
            return "The log book has " + Words.count(runs, "run", "runs")
                    + " with a stop place for this setting here; from " + FEWEST_LOGGED
                    + " on they are compared with the simulation.";
        }
        return "In the log book " + runs + " runs with this setting scatter " + StoppingWords.mm(logged.sd())
                + " along the line.";
    }
}
