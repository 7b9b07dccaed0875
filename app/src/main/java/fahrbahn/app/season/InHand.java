package fahrbahn.app.season;

import fahrbahn.core.belief.Wish;
import fahrbahn.core.detour.Task;
import fahrbahn.core.drill.DrillScore;
import fahrbahn.core.hall.HallDay;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.knowledge.TablePrint;
import fahrbahn.core.mat.MatSheet;
import fahrbahn.core.program.HandOver;
import fahrbahn.core.program.Style;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.ColourColumns;
import fahrbahn.core.readings.ColumnMap;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.season.Hand;
import fahrbahn.core.setup.Channel;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.stopping.StopPlan;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import fahrbahn.core.table.LaidCourse;
import fahrbahn.core.trials.Run;
import fahrbahn.store.Kinds;
import fahrbahn.store.Ledger;
import fahrbahn.store.TablePrints;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.collections.ObservableMap;

/** What the season holds of the robot and the table in hand, kept true by {@link #refresh}. */
final class InHand {
    private static final LaidCourse PRACTICE = new LaidCourse(Draft.of(DemoCourses.workshopLoop()));

    final ReadOnlyObjectWrapper<Hand> hand = new ReadOnlyObjectWrapper<>(Hand.FIRST);
    final ReadOnlyObjectWrapper<Optional<Setup>> setup = new ReadOnlyObjectWrapper<>(Optional.empty());
    final ReadOnlyObjectWrapper<Setup> setupNow = new ReadOnlyObjectWrapper<>(StartingSetup.guess());
    final ReadOnlyObjectWrapper<Optional<Basis>> chosen = new ReadOnlyObjectWrapper<>(Optional.empty());
    final ReadOnlyObjectWrapper<Wish> wish = new ReadOnlyObjectWrapper<>(Wish.USUAL);
    final ReadOnlyObjectWrapper<Optional<StopPlan>> stop = new ReadOnlyObjectWrapper<>(Optional.empty());
    final ReadOnlyObjectWrapper<Optional<Task>> detour = new ReadOnlyObjectWrapper<>(Optional.empty());
    final ReadOnlyObjectWrapper<Optional<HandOver>> handed = new ReadOnlyObjectWrapper<>(Optional.empty());
    final ReadOnlyObjectWrapper<Optional<HallDay>> hall = new ReadOnlyObjectWrapper<>(Optional.empty());
    final ReadOnlyObjectWrapper<DrillScore> drills = new ReadOnlyObjectWrapper<>(DrillScore.NONE);
    final ReadOnlyObjectWrapper<Style> style = new ReadOnlyObjectWrapper<>(Style.USUAL);
    final ReadOnlyObjectWrapper<Optional<Basis>> levels = new ReadOnlyObjectWrapper<>(Optional.empty());
    final ReadOnlyObjectWrapper<Conditions> conditions = new ReadOnlyObjectWrapper<>(Conditions.UNKNOWN);
    final ReadOnlyObjectWrapper<ColumnMap> columns = new ReadOnlyObjectWrapper<>(ColumnMap.AS_NAMED);
    final ReadOnlyObjectWrapper<Optional<Draft>> course = new ReadOnlyObjectWrapper<>(Optional.empty());
    private Map<Capture, Capture> seen = new IdentityHashMap<>();
    private Map<String, Channel> channels = Map.of();

    /** What the table's course amounts to: its own, or the practice loop as long as there is none. */
    LaidCourse laid = PRACTICE;

    /** The table as results remember it. */
    TablePrint print = TablePrint.UNKNOWN;

    final ReadOnlyObjectWrapper<Optional<MatSheet>> mat = new ReadOnlyObjectWrapper<>(Optional.empty());
    final ObservableMap<Constant, Fact> facts = FXCollections.observableMap(new EnumMap<>(Constant.class));
    final ObservableMap<String, List<List<Double>>> entries = FXCollections.observableHashMap();
    final ObservableMap<String, Double> typedLevels = FXCollections.observableHashMap();
    final ObservableList<Capture> captures = FXCollections.observableArrayList();
    final ObservableList<Run> runs = FXCollections.observableArrayList();
    // Made once: a listener on a wrapper that nobody keeps would be lost with it.
    final ObservableMap<Constant, Fact> shownFacts = FXCollections.unmodifiableObservableMap(facts);
    final ObservableMap<String, List<List<Double>>> shownEntries = FXCollections.unmodifiableObservableMap(entries);
    final ObservableMap<String, Double> shownTypedLevels = FXCollections.unmodifiableObservableMap(typedLevels);
    final ObservableList<Capture> shownCaptures = FXCollections.unmodifiableObservableList(captures);
    final ObservableList<Run> shownRuns = FXCollections.unmodifiableObservableList(runs);

    /** Tells only what is other than before; what others are told from comes first. */
    void refresh(Ledger ledger, Hand now) {
        String robot = now.robot();
        set(hand, now);
        Conditions noted = ledger.get(Kinds.CONDITIONS, robot).orElse(Conditions.UNKNOWN);
        set(conditions, noted.withVenue(now.venue()));
        set(columns, ledger.get(Kinds.COLUMNS, robot).orElse(ColumnMap.AS_NAMED));
        set(chosen, ledger.get(Kinds.CHOSEN, robot));
        set(wish, ledger.get(Kinds.WISH, robot).orElse(Wish.USUAL));
        set(stop, ledger.get(Kinds.STOP, robot));
        set(detour, ledger.get(Kinds.DETOUR, robot));
        set(handed, ledger.get(Kinds.HANDED, robot));
        set(hall, ledger.get(Kinds.HALL, robot));
        set(drills, ledger.get(Kinds.DRILLS, "").orElse(DrillScore.NONE));
        set(style, ledger.get(Kinds.STYLE, robot).orElse(Style.USUAL));
        set(levels, ledger.get(Kinds.LEVELS, robot));
        set(setup, ledger.get(Kinds.SETUP, robot));
        set(setupNow, setup.get().orElseGet(StartingSetup::guess));
        table(ledger.get(Kinds.COURSE, now.table()), ledger.get(Kinds.MAT, now.table()), now.table());
        Map<Constant, Fact> known = new EnumMap<>(Constant.class);
        ledger.all(Kinds.FACT, robot).values().forEach(f -> known.put(f.constant(), f));
        set(facts, known);
        set(entries, ledger.all(Kinds.ENTRIES, robot));
        set(typedLevels, ledger.all(Kinds.TYPED_LEVEL, robot));
        set(captures, asSeen(ledger.all(Kinds.CAPTURE, robot).values()), Capture::at);
        set(runs, ledger.all(Kinds.RUN, robot).values(), Run::at);
    }

    /** Captures of colour sensors read as their channel does; kept, so that the same stay the same. */
    private Collection<Capture> asSeen(Collection<Capture> all) {
        Robot robot = setupNow.get().robot();
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

    /** What the table amounts to is worked out only when it is another: it takes longer than all the rest. */
    private void table(Optional<Draft> newCourse, Optional<MatSheet> newMat, String id) {
        boolean same = course.get().equals(newCourse) && mat.get().equals(newMat);
        if (!same || !print.id().equals(id)) {
            laid = newCourse.map(LaidCourse::new).orElse(PRACTICE);
            print = newMat.map(sheet -> TablePrints.of(id, sheet)).orElseGet(() -> TablePrints.of(id, laid.draft()));
        }
        set(course, newCourse);
        set(mat, newMat);
    }

    private static <T> void set(ReadOnlyObjectWrapper<T> property, T value) {
        if (!property.get().equals(value)) {
            property.set(value);
        }
    }

    private static <K, V> void set(ObservableMap<K, V> map, Map<K, V> values) {
        if (!map.equals(values)) {
            map.keySet().retainAll(values.keySet());
            map.putAll(values);
        }
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
