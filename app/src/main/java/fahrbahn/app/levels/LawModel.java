package fahrbahn.app.levels;

import fahrbahn.app.kit.field.SetupFields;
import fahrbahn.app.season.Season;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.Documents;
import fahrbahn.app.state.State;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.tuning.LawTrial;
import fahrbahn.store.document.Kinds;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;

/** The law of the robot in hand with everything it may have, and what it does on the twin as it stands. */
public final class LawModel implements SetupFields.Source {
    /** Where a look at which way it turns is kept, among what is typed on bench cards. */
    private static final String SIGN = "SIGN";

    private final Season season;
    private final Documents<List<List<Double>>> cards;
    private final Derived<LawTrial> trial;
    private final Consumer<String> told;

    LawModel(Season season, State state) {
        this.season = season;
        this.cards = season.state().documents(Kinds.ENTRIES);
        this.trial = state.derive("The law on the twin", season::setupOrGuess, (setup, job) -> LawTrial.of(setup));
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

    /** What decides which way it turns: while it is the same, a look at it holds. */
    private static List<Double> signKey(Setup setup) {
        List<Double> key = new ArrayList<>();
        key.add((double) setup.law().signal().ordinal());
        key.add((double) setup.law().side().ordinal());
        key.add((double) setup.line().polarity().ordinal());
        setup.lawSensors().forEach(s -> key.add(Math.signum(s.light() - s.dark())));
        return key;
    }

    /** Whether somebody has held the robot over the line, as it is set up, and it turned as it must. */
    boolean signSeen() {
        return cards.get(SIGN).equals(Optional.of(List.of(signKey(shown()))));
    }

    /** Ticks it off, or takes the tick away. */
    void tickSign() {
        boolean seen = signSeen();
        cards.set(
                (seen ? "not seen to turn as it must: " : "seen to turn as it must: ")
                        + shown().robot().name(),
                SIGN,
                seen ? List.of() : List.of(signKey(shown())));
    }

    /** Calls when a tick is made or taken away. */
    void whenTicked(Runnable work) {
        cards.follow(work);
    }
}
