package fahrbahn.app.gains;

import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.season.Season;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.tuning.IntegralTrade;
import fahrbahn.core.tuning.PointResponse;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** How the point in hand answers to a step and to the tightest bend: the map's point, or the gains as set where none was chosen. */
final class ResponseModel {
    private final Season season;
    private final MapModel map;
    private final GainsModel gains;
    private final Errand<Answer> errand;
    private final ReadOnlyObjectWrapper<Optional<Answer>> answer = new ReadOnlyObjectWrapper<>(Optional.empty());
    private Setup wanted;
    private String problem = "";

    /** @param setup with the gains that answered */
    record Answer(Setup setup, PointResponse response, List<IntegralTrade.Row> integral) {}

    ResponseModel(Season season, MapModel map, GainsModel gains, Errands errands) {
        this.gains = gains;
        this.season = season;
        this.map = map;
        this.errand = errands.errand("The response");
    }

    ReadOnlyObjectProperty<Optional<Answer>> answerProperty() {
        return answer.getReadOnlyProperty();
    }

    double ki() {
        return season.setupOrGuess().law().ki();
    }

    void chooseKi(double newKi) {
        Law law = season.setupOrGuess().law();
        gains.choose(law.kp(), newKi, law.kd());
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
        errand.runToEnd(job -> new Answer(now, PointResponse.of(now), IntegralTrade.of(now)), ending -> {
            problem = Ending.words(ending);
            answer.set(ending instanceof Ending.Done<Answer> done ? Optional.of(done.result()) : Optional.empty());
        });
    }
}
