package fahrbahn.app.freshness;

import fahrbahn.app.state.Derived;
import fahrbahn.app.state.Parameter;
import fahrbahn.app.state.State;
import fahrbahn.core.trials.RunGroups;
import java.time.Instant;
import java.util.function.Consumer;
import java.util.function.Function;

/** Judges every station again whenever something it rests on has changed, and once a minute, for results age. */
public final class FreshnessService {
    private final Parameter<Instant> minute;

    /**
     * @param inputs gathers what there is, on the interface thread, for a moment
     * @param shown takes what was found
     */
    public FreshnessService(
            State state, Function<Instant, FreshnessInputs> inputs, Repairs repairs, Consumer<Judgement> shown) {
        minute = state.parameter(state.ledger().clock().instant());
        RunGroups groups = new RunGroups();
        Derived<Judgement> judgement = state.derive(
                "Checking what is up to date",
                () -> inputs.apply(minute.get()),
                (is, job) -> StationFreshness.derive(is, groups, repairs));
        judgement.valueProperty().addListener((o, was, is) -> is.ready().ifPresent(shown));
        judgement.eagerly();
    }

    /** Results are older by a minute. */
    public void minute(Instant now) {
        minute.set(now);
    }
}
