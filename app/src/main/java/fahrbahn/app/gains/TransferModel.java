package fahrbahn.app.gains;

import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.season.Season;
import fahrbahn.core.job.Workers;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.law.GainUnits;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.tuning.Carried;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** Gains carried over: from the robot that they were chosen for to the robot as it is now, or as it is to become. */
final class TransferModel {
    /** The same change gets the same answer. */
    private static final long SEED = 1;

    private final Season season;
    private final GainsModel gains;
    private final Errand<Answer> errand;
    private final ReadOnlyObjectWrapper<Optional<Answer>> answer = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final Map<Changed, UnaryOperator<Setup>> changes = new EnumMap<>(Changed.class);
    private Wanted wanted;
    private String problem = "";

    /** What of the robot may become otherwise. */
    enum Changed {
        SPEED,
        PERIOD,
        HEIGHT,
        WIDTH,
        WHEELS,
        SCALE,
        MIXING
    }

    private record Wanted(Setup from, Setup to) {}

    /** @param from with its gains */
    record Answer(Setup from, Setup to, Carried carried) {
        boolean sameRobot() {
            return GainsModel.withoutGains(from).equals(GainsModel.withoutGains(to));
        }
    }

    TransferModel(Season season, GainsModel gains, Errands errands) {
        this.season = season;
        this.gains = gains;
        this.errand = errands.errand("Gains carried over");
        season.handProperty().addListener((o, was, is) -> {
            if (!was.robot().equals(is.robot())) {
                forget(); // what is to change was said of the robot before
            }
        });
    }

    ReadOnlyObjectProperty<Optional<Answer>> answerProperty() {
        return answer.getReadOnlyProperty();
    }

    ReadOnlyBooleanProperty tryingProperty() {
        return errand.runningProperty();
    }

    double progress() {
        return errand.progress();
    }

    String problem() {
        return problem;
    }

    /** The robot as it is to become, with the gains as set. */
    Setup to() {
        Setup setup = season.setupOrGuess();
        for (UnaryOperator<Setup> change : changes.values()) {
            setup = change.apply(setup);
        }
        return setup;
    }

    /** The robot that the gains were chosen for: as it is, where nobody noted another or its law is of another kind. */
    private Setup from() {
        Setup now = season.setupOrGuess();
        return season.choices()
                .chosenProperty()
                .get()
                .flatMap(Basis::setup)
                .filter(chosen -> chosen.law().kind() == now.law().kind())
                .map(chosen -> chosen.withLaw(chosen.law()
                        .withGains(now.law().kp(), now.law().ki(), now.law().kd())))
                .orElse(now);
    }

    /** @throws fahrbahn.core.check.BadValueException when no robot can be so */
    void change(Changed what, UnaryOperator<Setup> change) {
        UnaryOperator<Setup> before = changes.put(what, change);
        try {
            to();
        } catch (RuntimeException refused) {
            changes.remove(what);
            if (before != null) {
                changes.put(what, before);
            }
            throw refused;
        }
    }

    /** Back to the robot as it is. */
    void forget() {
        changes.clear();
    }

    /** Somebody looks: carried over, unless it has been. */
    void look() {
        Wanted now = new Wanted(from(), to());
        if (now.equals(wanted)) {
            return;
        }
        wanted = now;
        errand.runToEnd(
                job -> new Answer(
                        now.from(), now.to(), Carried.between(now.from(), now.to(), SEED, Workers.all(), job)),
                ending -> {
                    problem = Ending.words(ending);
                    answer.set(
                            ending instanceof Ending.Done<Answer> done ? Optional.of(done.result()) : Optional.empty());
                });
    }

    /** Puts the changes on the robot, with the gains that come out best, as one step. */
    void use() {
        answer.get().filter(a -> a.to().equals(to())).ifPresent(a -> {
            changes.clear();
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
