package fahrbahn.app.season;

import fahrbahn.app.freshness.Freshness;
import fahrbahn.core.setup.Setup;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/** What every station has: the robot in hand, a verdict of its own, a freshness that the graph derives, and pages that can be asked for. */
public abstract class StationModel {
    private final ReadOnlyObjectWrapper<Verdict> verdict = new ReadOnlyObjectWrapper<>(Verdict.open(""));
    private final ReadOnlyObjectWrapper<Freshness> freshness = new ReadOnlyObjectWrapper<>(Freshness.missing(""));
    private final ReadOnlyStringWrapper page = new ReadOnlyStringWrapper("");
    private Freshness derived = Freshness.missing("");
    protected final Season season;

    protected StationModel(Season season) {
        this.season = season;
    }

    /** The robot, line and law in hand, or the starting guess as long as there are none. */
    public final ReadOnlyObjectProperty<Setup> setupNowProperty() {
        return season.setup().property();
    }

    public final ReadOnlyObjectProperty<Verdict> verdictProperty() {
        return verdict.getReadOnlyProperty();
    }

    public final ReadOnlyObjectProperty<Freshness> freshnessProperty() {
        return freshness.getReadOnlyProperty();
    }

    /** The page that was asked for last; empty when none was. */
    public final ReadOnlyStringProperty pageProperty() {
        return page.getReadOnlyProperty();
    }

    /** Asks for a page by its title. */
    public final void showPage(String title) {
        page.set(""); // asked for again it is turned to again
        page.set(title);
    }

    /** What is said of the station. @param words of what there is now; asked after each change */
    protected final void headline(Supplier<Verdict> words) {
        season.state().afterChanges(() -> say(words.get()));
        say(words.get());
    }

    private void say(Verdict newVerdict) {
        if (!newVerdict.equals(verdict.get())) {
            verdict.set(newVerdict);
            freshness.set(earned());
        }
    }

    /** Takes what the graph derived. */
    public final void stands(Freshness newFreshness) {
        derived = newFreshness;
        freshness.set(earned());
    }

    /** No green tick beside a verdict that says stop. */
    private Freshness earned() {
        boolean tick = derived.mark() == Freshness.Mark.FRESH || derived.mark() == Freshness.Mark.GUESS;
        return tick && verdict.get().tone() == Verdict.Tone.STOP ? Freshness.missing("failed: see above") : derived;
    }
}
