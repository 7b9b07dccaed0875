package fahrbahn.app.runs.stops;

import fahrbahn.core.statistics.Completion;
import fahrbahn.core.statistics.Sample;
import fahrbahn.core.statistics.StopEllipse;
import fahrbahn.core.trials.Run;
import fahrbahn.core.trials.StopPlace;
import java.util.List;
import java.util.Optional;

/**
 * Where the runs that count together stopped.
 *
 * @param runs those with a place along the line, in their order
 * @param windowMm to each side, in which the attachment works
 */
public record Stops(List<Run> runs, double windowMm) {
    public Stops {
        runs = List.copyOf(runs);
    }

    static Stops of(List<Run> all, double windowMm) {
        return new Stops(
                all.stream()
                        .filter(r -> !Double.isNaN(r.outcome().stop().alongMm()))
                        .toList(),
                windowMm);
    }

    Sample along() {
        return Sample.of(
                runs.stream().mapToDouble(r -> r.outcome().stop().alongMm()).toArray());
    }

    /** Of those measured across too. */
    Sample across() {
        return Sample.of(
                runs.stream().mapToDouble(r -> r.outcome().stop().acrossMm()).toArray());
    }

    Completion inWindow() {
        return new StopPlace(along()).inside(-windowMm, windowMm);
    }

    /** Where the next one stops; empty for fewer than four, or when not all were measured across. */
    Optional<StopEllipse> ellipse() {
        boolean known = across().n() == along().n() && along().n() > StopEllipse.FEWEST;
        return known ? Optional.of(StopEllipse.of(along(), across())) : Optional.empty();
    }
}
