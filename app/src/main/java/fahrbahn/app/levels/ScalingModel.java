package fahrbahn.app.levels;

import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.season.Season;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.tuning.ScaleRounding;
import fahrbahn.core.tuning.Unscaled;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** From raw readings to scaled ones, and what becomes of a robot that leaves it out. */
public final class ScalingModel {
    /** A gap as rescue tables have it. */
    private static final double GAP_MM = 100;

    private final Season season;
    private final Errand<Picture> errand;
    private final ReadOnlyObjectWrapper<Optional<Picture>> picture = new ReadOnlyObjectWrapper<>(Optional.empty());
    private Setup wanted;

    /**
     * All that was computed for one setup.
     *
     * @param unscaled empty where no two sensors are compared
     * @param rounding what whole numbers cost; empty for a law in the sensors' own numbers
     * @param problem why the twin could not tell; empty when it could
     */
    public record Picture(Setup setup, Optional<Unscaled> unscaled, Optional<ScaleRounding> rounding, String problem) {
        List<Sensor> sensors() {
            return setup.lawSensors();
        }
    }

    ScalingModel(Season season, Errands errands) {
        this.season = season;
        this.errand = errands.errand("The scaling");
    }

    public ReadOnlyObjectProperty<Optional<Picture>> pictureProperty() {
        return picture.getReadOnlyProperty();
    }

    /** Somebody looks: the twin drives across a gap, unless it has. */
    void look() {
        Setup now = season.setupOrGuess();
        if (now.equals(wanted)) {
            return;
        }
        wanted = now;
        errand.runToEnd(
                job -> new Picture(
                        now,
                        Unscaled.matters(now) ? Optional.of(Unscaled.of(now, GAP_MM)) : Optional.empty(),
                        ScaleRounding.of(now, Workers.all(), job),
                        ""),
                ending -> picture.set(Optional.of(
                        ending instanceof Ending.Done<Picture> done
                                ? done.result()
                                : new Picture(now, Optional.empty(), Optional.empty(), Ending.words(ending)))));
    }
}
