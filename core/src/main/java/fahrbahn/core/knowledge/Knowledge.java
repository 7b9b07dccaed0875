package fahrbahn.core.knowledge;

import fahrbahn.core.difference.Cause;
import fahrbahn.core.setup.Setup;
import java.util.List;
import java.util.Optional;

/**
 * How well one constant is known, and what not knowing it better costs.
 *
 * @param uncertainty half the width of the interval it is believed to lie in
 * @param fact the measurement the value comes from; empty when it comes from none
 * @param stale why that measurement does not hold any more; empty while it does
 */
public record Knowledge(
        Constant constant,
        double value,
        Origin origin,
        double uncertainty,
        Optional<Fact> fact,
        List<Cause> stale,
        GuessCost cost) {
    /** A guess that leaves more than this share of wiggle onset open is worth a measurement before anything rests on it. */
    static final double COSTLY_SHARE = 0.25;

    /** What was read off a drawing or copied is better than a guess, by our reckoning three times. */
    private static final double TYPED_SHARE = 1 / 3.0;

    /** A measurement and the robot are one when this near: the season file keeps every digit. */
    private static final double SAME = 1e-9;

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

    public Knowledge {
        stale = List.copyOf(stale);
    }

    /**
     * @param guess what the robot began as: a constant that is as it was then is a guess
     * @param now what the measurement has to hold under
     */
    public static Knowledge of(Setup setup, Setup guess, Constant constant, Optional<Fact> fact, Basis now) {
        double value = constant.of(setup);
        boolean measured = fact.isPresent()
                && Math.abs(fact.get().measured().value() - value) <= SAME * Math.max(1, Math.abs(value));
        List<Cause> stale = measured ? fact.get().staleSince(now) : List.of();
        Origin origin = measured ? Origin.MEASURED : value == constant.of(guess) ? Origin.GUESS : Origin.TYPED;
        double uncertainty =
                uncertainty(setup, constant, origin, measured && stale.isEmpty() ? fact : Optional.empty());
        return new Knowledge(
                constant,
                value,
                origin,
                uncertainty,
                measured ? fact : Optional.empty(),
                stale,
                GuessCost.of(setup, constant, uncertainty));
    }

    private static double uncertainty(Setup setup, Constant constant, Origin origin, Optional<Fact> holds) {
        if (holds.isPresent()) {
            return holds.get().measured().plusMinus();
        }
        double guessed = constant.guessedWithin(setup);
        return origin == Origin.GUESS ? guessed : TYPED_SHARE * guessed;
    }

    /** A guess on which nothing should rest before it is measured. */
    public boolean costlyGuess() {
        return origin == Origin.GUESS && cost.share() > COSTLY_SHARE;
    }
}
