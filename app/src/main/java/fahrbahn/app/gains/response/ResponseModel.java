package fahrbahn.app.gains.response;

import fahrbahn.app.gains.choice.GainChoice;
import fahrbahn.app.gains.map.MapModel;
import fahrbahn.app.season.Season;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.State;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.tuning.IntegralTrade;
import fahrbahn.core.tuning.PointResponse;
import java.util.List;

/** How the point in hand answers to a step and to the tightest bend: the map's point, or the gains as set where none was chosen. */
public final class ResponseModel {
    private final Season season;
    private final MapModel map;
    private final GainChoice gains;
    private final Derived<Answer> answer;

    /** @param setup with the gains that answered */
    public record Answer(Setup setup, PointResponse response, List<IntegralTrade.Row> integral) {}

    public ResponseModel(Season season, MapModel map, GainChoice gains, State state) {
        this.gains = gains;
        this.season = season;
        this.map = map;
        answer = state.derive(
                "The response",
                this::point,
                (setup, job) -> new Answer(setup, PointResponse.of(setup), IntegralTrade.of(setup)));
    }

    public Derived<Answer> answer() {
        return answer;
    }

    double ki() {
        return season.setupOrGuess().law().ki();
    }

    void chooseKi(double newKi) {
        Law law = season.setupOrGuess().law();
        gains.choose(law.kp(), newKi, law.kd());
    }

    private Setup point() {
        Setup setup = season.setupOrGuess();
        return map.chosen()
                .map(gains -> setup.withLaw(
                        setup.law().withGains(gains.kp(), setup.law().ki(), gains.kd())))
                .orElse(setup);
    }
}
