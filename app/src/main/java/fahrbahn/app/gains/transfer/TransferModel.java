package fahrbahn.app.gains.transfer;

import fahrbahn.app.gains.choice.GainChoice;
import fahrbahn.app.season.Season;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.Parameter;
import fahrbahn.app.state.State;
import fahrbahn.core.difference.SetupField;
import fahrbahn.core.job.Workers;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.law.GainUnits;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.tuning.Carried;
import java.util.EnumMap;
import java.util.Map;
import java.util.function.UnaryOperator;

/** Gains carried over: from the robot that they were chosen for to the robot as it is now, or as it is to become. */
public final class TransferModel {
    /** The same change gets the same answer. */
    private static final long SEED = 1;

    private final Season season;
    private final GainChoice gains;
    private final Derived<Answer> answer;
    private final Parameter<Map<SetupField, UnaryOperator<Setup>>> changes;

    private record Change(Setup from, Setup to) {}

    /** @param from with its gains */
    public record Answer(Setup from, Setup to, Carried carried) {
        public boolean sameRobot() {
            return GainChoice.withoutGains(from).equals(GainChoice.withoutGains(to));
        }
    }

    public TransferModel(Season season, GainChoice gains, State state) {
        this.season = season;
        this.gains = gains;
        this.changes = state.parameterOfRobot(Map.of());
        this.answer = state.derive(
                "Gains carried over",
                () -> new Change(from(), to()),
                (change, job) -> new Answer(
                        change.from(),
                        change.to(),
                        Carried.between(change.from(), change.to(), SEED, Workers.all(), job)));
    }

    public Derived<Answer> answer() {
        return answer;
    }

    /** The robot as it is to become, with the gains as set. */
    Setup to() {
        return with(changes.get());
    }

    private Setup with(Map<SetupField, UnaryOperator<Setup>> all) {
        Setup setup = season.setupOrGuess();
        for (UnaryOperator<Setup> change : all.values()) {
            setup = change.apply(setup);
        }
        return setup;
    }

    /** The robot that the gains were chosen for: as it is, where nobody noted another or its law is of another kind. */
    private Setup from() {
        Setup now = season.setupOrGuess();
        return season.changes()
                .gainsFor()
                .kept()
                .flatMap(Basis::setup)
                .filter(chosen -> chosen.law().signal() == now.law().signal())
                .map(chosen -> chosen.withLaw(chosen.law()
                        .withGains(now.law().kp(), now.law().ki(), now.law().kd())))
                .orElse(now);
    }

    /** @throws fahrbahn.core.check.BadValueException when no robot can be so */
    void change(SetupField what, UnaryOperator<Setup> change) {
        Map<SetupField, UnaryOperator<Setup>> all = new EnumMap<>(SetupField.class);
        all.putAll(changes.get());
        all.put(what, change);
        with(all);
        changes.set(all);
    }

    /** Back to the robot as it is. */
    void forget() {
        changes.reset();
    }

    /** Puts the changes on the robot, with the gains that come out best, as one step. */
    void use() {
        answer.get().ifPresent(a -> {
            changes.reset();
            gains.become(a.to().withLaw(a.carried().best().law()));
        });
    }

    double periodS() {
        return season.setupOrGuess().robot().loop().periodS();
    }

    /** The gains as set, in time. */
    GainUnits perSecond() {
        Setup setup = season.setupOrGuess();
        return GainUnits.perSecond(setup.law(), setup.robot().loop().periodS());
    }

    /** Sets gains given in time. */
    void choose(GainUnits units) {
        Setup setup = season.setupOrGuess();
        Law law = units.perLoop(setup.law(), setup.robot().loop().periodS());
        gains.choose(law.kp(), law.ki(), law.kd());
    }

    void choose(Law law) {
        gains.choose(law.kp(), law.ki(), law.kd());
    }

    Law law() {
        return season.setupOrGuess().law();
    }
}
