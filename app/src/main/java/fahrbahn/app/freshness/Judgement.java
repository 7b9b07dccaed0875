package fahrbahn.app.freshness;

import fahrbahn.core.trials.Pool;
import fahrbahn.core.trials.Run;
import java.util.Map;

/**
 * What was derived from one standing.
 *
 * @param stations whether each station's result still stands
 * @param source who made the latest run; that of the twin while there is none
 * @param pool the runs by it that count together as things stand
 */
public record Judgement(Map<Station, Freshness> stations, Run.Source source, Pool pool) {
    public Judgement {
        stations = Map.copyOf(stations);
    }
}
