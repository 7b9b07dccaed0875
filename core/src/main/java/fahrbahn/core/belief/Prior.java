package fahrbahn.core.belief;

import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.setup.Setup;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * How far a robot may be from what its setup says, before any trial: as far as its constants were measured, and where they were guessed as far as
 * guesses usually are.
 *
 * @param shares standard deviation of each constant as a share of it
 */
public record Prior(Map<Constant, Double> shares) {
    /** Those that trials tell of; the slope is told by the spot. */
    static final List<Constant> TOLD =
            List.of(Constant.LAG, Constant.DELAY, Constant.FREE_SPEED, Constant.TRACK_WIDTH, Constant.SPOT);

    /** Nothing was measured. */
    public static final Prior GUESSED = of(Map.of());

    /** However well a constant was measured, an evening moves it by this. */
    private static final double LEAST_SHARE = 0.01;

    public Prior {
        shares = Map.copyOf(shares);
    }

    /** @param facts what was measured of the setup's robot */
    public static Prior of(Setup setup, Collection<Fact> facts) {
        Map<Constant, Double> measured = new EnumMap<>(Constant.class);
        for (Fact fact : facts) {
            double value = fact.constant().of(setup);
            if (value > 0) {
                measured.put(fact.constant(), fact.measured().standardError() / value);
            }
        }
        return of(measured);
    }

    private static Prior of(Map<Constant, Double> measured) {
        Map<Constant, Double> shares = new EnumMap<>(Constant.class);
        for (Constant constant : TOLD) {
            double share = measured.getOrDefault(constant, constant.guessShare());
            shares.put(constant, Math.max(LEAST_SHARE, Math.min(constant.guessShare(), share)));
        }
        return new Prior(shares);
    }

    double share(Constant constant) {
        return shares.get(constant);
    }
}
