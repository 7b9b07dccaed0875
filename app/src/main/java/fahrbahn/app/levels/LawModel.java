package fahrbahn.app.levels;

import fahrbahn.app.kit.field.SetupFields;
import fahrbahn.app.season.Season;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.Document;
import fahrbahn.app.state.State;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.SteeringDirection;
import fahrbahn.core.tuning.LawTrial;
import fahrbahn.store.document.Kinds;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;

/** The law of the robot in hand with everything it may have, and what it does on the twin as it stands. */
public final class LawModel implements SetupFields.Source {
    private final Season season;
    private final Document<SteeringDirection> seen;
    private final Derived<LawTrial> trial;
    private final Consumer<String> told;

    LawModel(Season season, State state) {
        this.season = season;
        this.seen = season.state().document(Kinds.DIRECTION_SEEN);
        this.trial = state.derive("The control, simulated", season::setupOrGuess, (setup, job) -> LawTrial.of(setup));
        this.told = state.errands().tell();
    }

    /** What the twin does with it as it stands. */
    Derived<LawTrial> trial() {
        return trial;
    }

    @Override
    public Setup shown() {
        return season.setupOrGuess();
    }

    public ReadOnlyObjectProperty<Setup> shownProperty() {
        return season.setup().property();
    }

    @Override
    public void type(UnaryOperator<Setup> change) {
        season.changeSetup(change);
    }

    @Override
    public void tell(String words) {
        told.accept(words);
    }

    /** Whether somebody has held the robot over the line, as it is set up, and it turned as it must. */
    boolean signSeen() {
        return seen.kept().equals(Optional.of(SteeringDirection.of(shown())));
    }

    /** Ticks it off, or takes the tick away. */
    void tickSign() {
        String robot = shown().robot().name();
        if (signSeen()) {
            seen.remove("steering direction not checked: " + robot);
        } else {
            seen.set("steering direction checked: " + robot, SteeringDirection.of(shown()));
        }
    }

    /** Calls when a tick is made or taken away. */
    void whenTicked(Runnable work) {
        seen.keptProperty().addListener(o -> work.run());
    }
}
