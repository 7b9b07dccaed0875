package fahrbahn.app.robot;

import fahrbahn.app.words.Words;
import fahrbahn.core.measuring.Constant;
import fahrbahn.core.measuring.Fact;
import fahrbahn.core.measuring.GuessCost;
import fahrbahn.core.setup.Setup;
import java.util.List;
import java.util.Optional;

/**
 * How well one constant is known, and what not knowing it better costs.
 *
 * @param uncertainty half the width of the interval it is believed to lie in
 * @param stale why a measurement does not hold any more; empty while it does
 */
public record ConstantState(
        Constant constant,
        double value,
        Origin origin,
        double uncertainty,
        Optional<Fact> fact,
        List<String> stale,
        GuessCost cost) {
    /** Where the value comes from. */
    public enum Origin {
        MEASURED("measured"),
        TYPED("typed"),
        GUESS("a guess");

        private final String word;

        Origin(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    /** What was read off a drawing or copied is better than a guess, by our reckoning three times. */
    private static final double TYPED_SHARE = 1 / 3.0;

    /** A dead zone nobody has looked for is most often a twentieth of full command or less. */
    private static final double DEAD_ZONE_SHARE = 0.05;

    /** A measurement and the robot are one when this near: the season file keeps every digit. */
    private static final double SAME = 1e-9;

    /** @param stale reasons why the fact does not hold any more */
    static ConstantState of(Setup setup, Setup guess, Constant constant, Optional<Fact> fact, List<String> stale) {
        double value = constant.of(setup);
        boolean measured = fact.isPresent()
                && Math.abs(fact.get().measured().value() - value) <= SAME * Math.max(1, Math.abs(value));
        Origin origin = measured ? Origin.MEASURED : value == constant.of(guess) ? Origin.GUESS : Origin.TYPED;
        double guessed = constant == Constant.DEAD_ZONE && value == 0
                ? DEAD_ZONE_SHARE * setup.robot().drive().fullCommand()
                : constant.guessShare() * value;
        double uncertainty = switch (origin) {
            case MEASURED -> stale.isEmpty() ? fact.get().measured().plusMinus() : TYPED_SHARE * guessed;
            case TYPED -> TYPED_SHARE * guessed;
            case GUESS -> guessed;
        };
        return new ConstantState(
                constant,
                value,
                origin,
                uncertainty,
                measured ? fact : Optional.empty(),
                measured ? stale : List.of(),
                GuessCost.of(setup, constant, uncertainty));
    }

    /** Value with its uncertainty in the units of the screen. */
    public String valueWords() {
        double factor = unitFactor();
        return Words.number(factor * value, 3) + " \u00b1 " + Words.number(factor * uncertainty, 2) + " " + unit();
    }

    private boolean time() {
        return constant == Constant.LAG || constant == Constant.LOOP_TIME || constant == Constant.DELAY;
    }

    public double unitFactor() {
        return time() ? 1000 : 1;
    }

    public String unit() {
        if (time()) {
            return "ms";
        }
        return switch (constant) {
            case FREE_SPEED -> "mm/s";
            case DEAD_ZONE -> "command";
            default -> "mm";
        };
    }

    /** What the uncertainty does to the gain at which the robot wiggles. */
    public String costWords() {
        if (cost.nowKp() == 0) {
            return "no P gain is stable with it as it is";
        }
        return "wiggle onset Kp " + Words.number(cost.lowKp(), 2) + " to " + Words.number(cost.highKp(), 2);
    }
}
