package fahrbahn.app.levels;

import fahrbahn.app.season.Season;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.State;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.tuning.ScaleRounding;
import fahrbahn.core.tuning.Unscaled;
import java.util.List;
import java.util.Optional;

/** From raw readings to scaled ones, and what becomes of a robot that leaves it out. */
final class ScalingModel {
    /** A gap as rescue tables have it. */
    private static final double GAP_MM = 100;

    private final Derived<Picture> picture;

    /**
     * All that was computed for one setup.
     *
     * @param unscaled empty where no two sensors are compared
     * @param rounding what whole numbers cost; empty for a law in the sensors' own numbers
     */
    record Picture(Setup setup, Optional<Unscaled> unscaled, Optional<ScaleRounding> rounding) {
        List<Sensor> sensors() {
            return setup.lawSensors();
        }
    }

    ScalingModel(Season season, State state) {
        picture = state.derive("The scaling", season::setupOrGuess, ScalingModel::picture);
    }

    private static Picture picture(Setup setup, Job job) {
        return new Picture(
                setup,
                Unscaled.matters(setup) ? Optional.of(Unscaled.of(setup, GAP_MM)) : Optional.empty(),
                ScaleRounding.of(setup, Workers.all(), job));
    }

    Derived<Picture> picture() {
        return picture;
    }
}
