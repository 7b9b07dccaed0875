package fahrbahn.app.levels;

import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.kit.SetupFields;
import fahrbahn.app.season.Season;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.tuning.LawTrial;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.beans.InvalidationListener;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** The law of the robot in hand with everything it may have, and what it does on the twin as it stands. */
public final class LawModel implements SetupFields.Source {
    /** Where a look at which way it turns is kept, among what is typed on bench cards. */
    private static final String SIGN = "SIGN";

    private final Season season;
    private final Errand<LawTrial> errand;
    private final Consumer<String> told;
    private final ReadOnlyObjectWrapper<Optional<Picture>> picture = new ReadOnlyObjectWrapper<>(Optional.empty());
    private Setup wanted;

    /**
     * What the twin did with one setup.
     *
     * @param trial empty where it could not be driven
     * @param problem why not, in words
     */
    public record Picture(Setup setup, Optional<LawTrial> trial, String problem) {}

    LawModel(Season season, Errands errands) {
        this.season = season;
        this.errand = errands.errand("The law on the twin");
        this.told = errands.tell();
    }

    @Override
    public Setup shown() {
        return season.setupOrGuess();
    }

    public ReadOnlyObjectProperty<Setup> shownProperty() {
        return season.setupNowProperty();
    }

    public ReadOnlyObjectProperty<Optional<Picture>> pictureProperty() {
        return picture.getReadOnlyProperty();
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
        key.add((double) setup.law().kind().ordinal());
        key.add((double) setup.law().side().ordinal());
        key.add((double) setup.line().polarity().ordinal());
        setup.lawSensors().forEach(s -> key.add(Math.signum(s.light() - s.dark())));
        return key;
    }

    /** Whether somebody has held the robot over the line, as it is set up, and it turned as it must. */
    boolean signSeen() {
        return List.of(signKey(shown())).equals(season.measurements().entries().get(SIGN));
    }

    /** Ticks it off, or takes the tick away. */
    void tickSign() {
        boolean seen = signSeen();
        season.measurements()
                .changeEntries(
                        SIGN,
                        seen ? List.of() : List.of(signKey(shown())),
                        (seen ? "not seen to turn as it must: " : "seen to turn as it must: ")
                                + shown().robot().name());
    }

    /** Calls when a tick is made or taken away. */
    void whenTicked(Runnable work) {
        season.measurements().entries().addListener((InvalidationListener) o -> work.run());
    }

    /** Somebody looks: the twin drives, unless it has. */
    void look() {
        Setup now = season.setupOrGuess();
        if (now.equals(wanted)) {
            return;
        }
        wanted = now;
        errand.runToEnd(
                job -> LawTrial.of(now),
                ending -> picture.set(Optional.of(
                        ending instanceof Ending.Done<LawTrial> done
                                ? new Picture(now, Optional.of(done.result()), "")
                                : new Picture(now, Optional.empty(), Ending.words(ending)))));
    }
}
