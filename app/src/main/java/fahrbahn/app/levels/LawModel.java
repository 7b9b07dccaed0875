package fahrbahn.app.levels;

import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.kit.SetupFields;
import fahrbahn.app.season.Season;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.tuning.LawTrial;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** The law of the robot in hand with everything it may have, and what it does on the twin as it stands. */
public final class LawModel implements SetupFields.Source {
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
