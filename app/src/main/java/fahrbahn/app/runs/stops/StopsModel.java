package fahrbahn.app.runs.stops;

import fahrbahn.app.season.Season;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.Document;
import fahrbahn.app.state.State;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.stopping.LogScatter;
import fahrbahn.core.stopping.Rule;
import fahrbahn.core.stopping.Sensing;
import fahrbahn.core.stopping.StopPlan;
import fahrbahn.core.stopping.StopShares;
import fahrbahn.core.trials.Run;
import fahrbahn.core.twin.Spread;
import fahrbahn.store.document.Kinds;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** Where the runs that count together stopped, and what their scatter comes from, by log book and twin together. */
public final class StopsModel {
    private static final int RUNS = 200;

    /** The same robot gets the same answer. */
    private static final long SEED = 1;

    private final Season season;
    private final Document<StopPlan> plan;
    private final Derived<StopShares> twin;
    private final ReadOnlyObjectWrapper<Stops> stops;
    private final ReadOnlyObjectWrapper<Optional<LogScatter>> scatter = new ReadOnlyObjectWrapper<>(Optional.empty());
    private List<Run> counted = List.of();

    private record Twins(Setup setup, Sensing sensing) {
        StopShares driven(Job job) {
            return StopShares.of(setup, sensing, Spread.TYPICAL, RUNS, SEED, Workers.all(), job);
        }
    }

    public StopsModel(Season season, State state) {
        this.season = season;
        this.plan = season.state().document(Kinds.STOP, () -> StopPlan.USUAL);
        this.twin = state.derive(
                "What scatters the stops", () -> new Twins(season.setupOrGuess(), plan().sensing()), Twins::driven);
        twin.valueProperty().addListener(o -> sort());
        this.stops = new ReadOnlyObjectWrapper<>(Stops.of(List.of(), plan().windowMm()));
        plan.property().addListener(o -> count(counted));
    }

    /** Where they stopped. */
    public ReadOnlyObjectProperty<Stops> stopsProperty() {
        return stops.getReadOnlyProperty();
    }

    /** What the scatter comes from; empty with too few stop places, and until the twin has driven. */
    ReadOnlyObjectProperty<Optional<LogScatter>> scatterProperty() {
        return scatter.getReadOnlyProperty();
    }

    private StopPlan plan() {
        return plan.get();
    }

    Rule rule() {
        return plan().rule();
    }

    /** @param mm to each side, in which the attachment works; above 0 */
    void changeWindow(double mm) {
        change(p -> p.withWindowMm(mm));
    }

    void stopBy(Rule rule) {
        change(p -> p.withRule(rule));
    }

    private void change(UnaryOperator<StopPlan> change) {
        plan.change("where " + season.robotName() + " is to stop", change);
    }

    /** The runs that count together. */
    public List<Run> counted() {
        return counted;
    }

    /** Takes the runs that count together. */
    public void count(List<Run> runs) {
        counted = runs;
        stops.set(Stops.of(counted, plan().windowMm()));
        sort();
    }

    /** Somebody looks: the twin drives such stops where they can be used. */
    void show() {
        if (stops.get().runs().size() >= LogScatter.FEWEST) {
            twin.show();
        }
    }

    private void sort() {
        List<Run> runs = stops.get().runs();
        double[] along =
                runs.stream().mapToDouble(r -> r.outcome().stop().alongMm()).toArray();
        double[] volts = runs.stream().mapToDouble(Run::volts).toArray();
        scatter.set(twin.get().flatMap(shares -> LogScatter.of(along, volts, shares, rule())));
    }
}
