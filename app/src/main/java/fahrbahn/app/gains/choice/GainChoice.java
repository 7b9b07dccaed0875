package fahrbahn.app.gains.choice;

import fahrbahn.app.season.Season;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import java.util.Map;
import java.util.function.Supplier;

/** Sets gains: each time one step, that remembers what they were chosen for and how well each constant was known. */
public final class GainChoice {
    private final Season season;
    private final Supplier<Map<Constant, Double>> known;

    public GainChoice(Season season, Supplier<Map<Constant, Double>> known) {
        this.season = season;
        this.known = known;
    }

    /** Advice does not depend on the gains there are, so it stays while they alone are changed. */
    public static Setup withoutGains(Setup setup) {
        return setup.withLaw(setup.law().withGains(0, setup.law().ki(), 0));
    }

    /** The robot and its law as they are, whatever they are set to. */
    public static Setup withoutGainsAndSpeed(Setup setup) {
        return withoutGains(setup)
                .withLaw(withoutGains(setup)
                        .law()
                        .withBaseCommand(setup.robot().drive().fullCommand()));
    }

    /** They count as chosen for the robot as it is now. */
    public void choose(double kp, double ki, double kd) {
        season.changes().chooseGains(setup -> setup.withLaw(setup.law().withGains(kp, ki, kd)), known.get());
    }

    public void chooseWithSpeed(double kp, double kd, double baseCommand) {
        chooseWithSpeed(kp, kd, baseCommand, season.setupOrGuess().law().target());
    }

    /** The same with a target. */
    public void chooseWithSpeed(double kp, double kd, double baseCommand, double target) {
        Law now = season.setupOrGuess().law();
        become(season.setupOrGuess()
                .withLaw(now.withGains(kp, now.ki(), kd)
                        .withBaseCommand(baseCommand)
                        .withTarget(target)));
    }

    /** The robot becomes otherwise, with gains chosen for it. */
    public void become(Setup setup) {
        season.changes().chooseGains(before -> setup, known.get());
    }
}
