package fahrbahn.app.season;

import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** What every station has: a verdict and a freshness. */
public abstract class StationModel {
    private final ReadOnlyObjectWrapper<Verdict> verdict = new ReadOnlyObjectWrapper<>(Verdict.open(""));
    private final ReadOnlyObjectWrapper<Freshness> freshness = new ReadOnlyObjectWrapper<>(Freshness.missing(""));

    public final ReadOnlyObjectProperty<Verdict> verdictProperty() {
        return verdict.getReadOnlyProperty();
    }

    public final ReadOnlyObjectProperty<Freshness> freshnessProperty() {
        return freshness.getReadOnlyProperty();
    }

    protected final void say(Verdict newVerdict, Freshness newFreshness) {
        verdict.set(newVerdict);
        freshness.set(newFreshness);
    }
}
