package fahrbahn.app.season;

import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.knowledge.Setting;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.Setup;
import fahrbahn.store.Kinds;
import fahrbahn.store.Ledger;
import fahrbahn.store.Put;
import fahrbahn.store.Shared;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.collections.ObservableMap;

/** What has been measured on the bench of the robot in hand: entries of the cards, and the constants they came to. */
public final class Measurements {
    private final Season season;
    private final Ledger ledger;
    private final InHand in;

    Measurements(Season season, Ledger ledger, InHand in) {
        this.season = season;
        this.ledger = ledger;
        this.in = in;
    }

    /** What has been typed on each bench card, a row an entry. */
    public ObservableMap<String, List<List<Double>>> entries() {
        return in.shownEntries;
    }

    /** Constants that have been measured. */
    public ObservableMap<Constant, Fact> facts() {
        return in.shownFacts;
    }

    public void changeEntries(String card, List<List<Double>> rows) {
        changeEntries(card, rows, "entries of a bench card on " + season.robotName());
    }

    /** @param label what an undo would take back */
    public void changeEntries(String card, List<List<Double>> rows, String label) {
        ledger.change(label, List.of(Put.of(Kinds.ENTRIES, season.hand().robot(), card, rows)));
    }

    /** Puts measured constants on the robot and remembers how they were measured, as one step. */
    public void use(List<Fact> used, UnaryOperator<Setup> alsoChange) {
        Setup before = season.setupOrGuess();
        Setup changed = before;
        List<Put<?>> puts = new ArrayList<>();
        for (Fact fact : used) {
            changed = fact.constant().with(changed, fact.measured().value());
        }
        changed = alsoChange.apply(changed);
        puts.add(Put.of(Kinds.SETUP, season.hand().robot(), changed));
        Setting measuredAs = Shared.setting(changed);
        for (Fact fact : used) {
            Fact kept = new Fact(
                    fact.constant(),
                    fact.measured(),
                    fact.entries(),
                    fact.basis().withSetting(measuredAs));
            puts.add(Put.of(Kinds.FACT, season.hand().robot(), fact.constant().word(), kept));
        }
        String words = used.isEmpty() ? "a measurement" : used.get(0).constant().word() + " measured";
        ledger.change(words + " on " + season.robotName(), puts);
    }

    /** How a measured constant came about: every measurement of it, oldest first. */
    public void history(Constant constant, Consumer<List<Fact>> told) {
        ledger.history(
                Kinds.FACT,
                season.hand().robot(),
                constant.word(),
                states -> told.accept(states.stream().map(Map.Entry::getValue).toList()));
    }

    /** Every state of the robot, oldest first, with when it came to be. */
    public void ofRobot(Consumer<List<Map.Entry<Instant, Setup>>> told) {
        ledger.history(Kinds.SETUP, season.hand().robot(), fahrbahn.store.Kind.ONLY, told);
    }

    public void addCaptures(List<Capture> added) {
        List<Put<?>> puts = new ArrayList<>();
        added.forEach(one -> puts.add(Put.of(Kinds.CAPTURE, season.hand().robot(), one.id(), one)));
        ledger.change(SeasonWords.captures(added, season.robotName()), puts);
    }

    public void removeCapture(Capture capture) {
        ledger.change(
                "capture of " + capture.surface() + " away, " + season.robotName(),
                List.of(Put.away(Kinds.CAPTURE, season.hand().robot(), capture.id())));
    }
}
