package fahrbahn.app.season;

import fahrbahn.app.state.Snapshot;
import fahrbahn.app.state.State;
import fahrbahn.core.colour.Channel;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.ColourColumns;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.trials.Run;
import fahrbahn.store.document.Kinds;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import javafx.beans.InvalidationListener;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;

/** Captures and runs of the robot selected, in the order of time, as lists that change only where they are others. */
final class Records {
    private final State state;
    private final ObservableList<Capture> captures = FXCollections.observableArrayList();
    private final ObservableList<Run> runs = FXCollections.observableArrayList();
    // Made once: a listener on a wrapper that nobody keeps would be lost with it.
    private final ObservableList<Capture> shownCaptures = FXCollections.unmodifiableObservableList(captures);
    private final ObservableList<Run> shownRuns = FXCollections.unmodifiableObservableList(runs);
    private String runsOf = "";
    private Optional<Snapshot<Run>> runsOfAll = Optional.empty();
    private Snapshot<Run> runsNow = new Snapshot<>(List.of());
    private Snapshot<Capture> capturesNow = new Snapshot<>(List.of());
    private Map<Capture, Capture> seen = new IdentityHashMap<>();
    private Map<String, Channel> channels = Map.of();

    Records(State state) {
        this.state = state;
        state.follow(Set.of(Kinds.CAPTURE, Kinds.SETUP), this::refreshCaptures);
        state.follow(Set.of(Kinds.RUN), this::refreshRuns);
        runs.addListener((InvalidationListener) o -> runsNow = new Snapshot<>(runs));
        captures.addListener((InvalidationListener) o -> capturesNow = new Snapshot<>(captures));
        refreshCaptures();
        refreshRuns();
    }

    ObservableList<Capture> captures() {
        return shownCaptures;
    }

    ObservableList<Run> runs() {
        return shownRuns;
    }

    Snapshot<Run> runsNow() {
        return runsNow;
    }

    Snapshot<Capture> capturesNow() {
        return capturesNow;
    }

    Snapshot<Run> runsOfAllNow(LogBook book) {
        if (runsOfAll.isEmpty()) {
            runsOfAll = Optional.of(new Snapshot<>(book.all()));
        }
        return runsOfAll.get();
    }

    private String robot() {
        return state.selection().get().robot();
    }

    private void refreshCaptures() {
        set(captures, asSeen(state.ledger().all(Kinds.CAPTURE, robot()).values()), Capture::at);
    }

    private void refreshRuns() {
        runsOfAll = Optional.empty();
        set(runs, state.ledger().all(Kinds.RUN, robot()).values(), Run::at);
        if (!robot().equals(runsOf)) {
            runsOf = robot();
            runsNow = new Snapshot<>(runs); // those of another robot are others, even when there are none
        }
    }

    /** Captures of colour sensors read as their channel does; kept, so that the same stay the same. */
    private Collection<Capture> asSeen(Collection<Capture> all) {
        Robot robot = state.ledger()
                .get(Kinds.SETUP, robot())
                .orElseGet(StartingSetup::guess)
                .robot();
        Map<Capture, Capture> before = robot.channels().equals(channels) ? seen : Map.of();
        Map<Capture, Capture> now = new IdentityHashMap<>();
        List<Capture> shown = new ArrayList<>(all.size());
        for (Capture capture : all) {
            Capture as = before.get(capture);
            shown.add(as == null ? ColourColumns.asSeen(capture, robot) : as);
            now.put(capture, shown.get(shown.size() - 1));
        }
        channels = robot.channels();
        seen = now;
        return shown;
    }

    /** In the order of time, also for one that undo brings back. What only grew at its end, as a log book does, is not sorted again. */
    private static <T> void set(ObservableList<T> list, Collection<T> values, Function<T, Instant> at) {
        List<T> now = List.copyOf(values);
        int kept = list.size();
        boolean grew = kept <= now.size() && same(list, now.subList(0, kept));
        for (int i = Math.max(1, kept); grew && i < now.size(); i++) {
            grew = !at.apply(now.get(i)).isBefore(at.apply(now.get(i - 1)));
        }
        if (grew) {
            list.addAll(now.subList(kept, now.size()));
            return;
        }
        List<T> sorted = now.stream().sorted(Comparator.comparing(at)).toList();
        if (!same(list, sorted)) {
            list.setAll(sorted);
        }
    }

    /** The very same values: those of the ledger are never changed, only replaced. */
    private static <T> boolean same(List<T> a, List<T> b) {
        if (a.size() != b.size()) {
            return false;
        }
        for (int i = 0; i < a.size(); i++) {
            if (a.get(i) != b.get(i)) {
                return false;
            }
        }
        return true;
    }
}
