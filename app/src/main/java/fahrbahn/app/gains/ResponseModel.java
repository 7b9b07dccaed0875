package fahrbahn.app.gains;

import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.season.Season;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.tuning.PointResponse;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** How the point in hand answers to a step and to the tightest bend: the map's point, or the gains as set where none was chosen. */
final class ResponseModel {
    private final Season season;
    private final MapModel map;
    private final Errand<Answer> errand;
    private final ReadOnlyObjectWrapper<Optional<Answer>> answer = new ReadOnlyObjectWrapper<>(Optional.empty());
    private Setup wanted;
    private String problem = "";

    /** @param setup with the gains that answered */
    record Answer(Setup setup, PointResponse response) {}

    ResponseModel(Season season, MapModel map, Errands errands) {
        this.season = season;
        this.map = map;
        this.errand = errands.errand("The response");
    }

    ReadOnlyObjectProperty<Optional<Answer>> answerProperty() {
        return answer.getReadOnlyProperty();
    }

    String problem() {
        return problem;
    }

    /** Somebody looks: driven, unless it has been. */
    void look() {
        Setup setup = season.setupOrGuess();
        Setup now = map.chosen()
                .map(gains -> setup.withLaw(
                        setup.law().withGains(gains.kp(), setup.law().ki(), gains.kd())))
                .orElse(setup);
        if (now.equals(wanted)) {
            return;
        }
        wanted = now;
        errand.runToEnd(job -> new Answer(now, PointResponse.of(now)), ending -> {
            problem = Ending.words(ending);
            answer.set(ending instanceof Ending.Done<Answer> done ? Optional.of(done.result()) : Optional.empty());
        });
    }
}
