package fahrbahn.app.season;

import fahrbahn.core.measuring.Constant;
import fahrbahn.core.measuring.Fact;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.ColumnMap;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Draft;
import fahrbahn.core.trials.RunRecord;
import fahrbahn.store.BadFileException;
import fahrbahn.store.CaptureJson;
import fahrbahn.store.Change;
import fahrbahn.store.ColumnMapJson;
import fahrbahn.store.ConditionsJson;
import fahrbahn.store.CourseJson;
import fahrbahn.store.EntriesJson;
import fahrbahn.store.FactJson;
import fahrbahn.store.RunJson;
import fahrbahn.store.SetupJson;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.logging.Logger;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.collections.ObservableMap;

/** What a season holds, as it is now, kept true by the changes it is shown. Touched on the interface thread only. */
final class SeasonState {
    private static final Logger LOG = Logger.getLogger(SeasonState.class.getName());

    static final String SETUP = "setup";
    static final String CAPTURE = "capture";
    static final String RUN = "run";

    static final String CONDITIONS = "conditions";
    static final String FACT = "fact";
    static final String COLUMNS = "columns";
    static final String COURSE = "course";

    /** What has been typed on a bench card, by card. */
    static final String ENTRIES = "entries";

    /** The setup that the gains were last chosen for. */
    static final String CHOSEN_FOR = "chosen-for";

    /** The circumstances under which they were. */
    static final String CHOSEN_UNDER = "chosen-under";

    /** In the order in which a season is read. */
    static final List<String> KINDS =
            List.of(CONDITIONS, SETUP, CHOSEN_FOR, CHOSEN_UNDER, COLUMNS, FACT, ENTRIES, COURSE, CAPTURE, RUN);

    final ReadOnlyObjectWrapper<Optional<Setup>> setup = new ReadOnlyObjectWrapper<>(Optional.empty());
    final ReadOnlyObjectWrapper<Optional<Setup>> gainsChosenFor = new ReadOnlyObjectWrapper<>(Optional.empty());
    final ReadOnlyObjectWrapper<Optional<Conditions>> gainsChosenUnder = new ReadOnlyObjectWrapper<>(Optional.empty());
    final ReadOnlyObjectWrapper<Conditions> conditions = new ReadOnlyObjectWrapper<>(Conditions.UNKNOWN);
    final ReadOnlyObjectWrapper<ColumnMap> columns = new ReadOnlyObjectWrapper<>(ColumnMap.AS_NAMED);
    final ReadOnlyObjectWrapper<Optional<Draft>> course = new ReadOnlyObjectWrapper<>(Optional.empty());
    final ObservableMap<Constant, Fact> facts = FXCollections.observableMap(new EnumMap<>(Constant.class));
    final ObservableMap<Constant, Fact> shownFacts = FXCollections.unmodifiableObservableMap(facts);
    final ObservableMap<String, List<List<Double>>> entries = FXCollections.observableHashMap();
    final ObservableMap<String, List<List<Double>>> shownEntries = FXCollections.unmodifiableObservableMap(entries);
    final ObservableList<Capture> captures = FXCollections.observableArrayList();
    final ObservableList<RunRecord> runs = FXCollections.observableArrayList();
    // Made once: a listener on a wrapper that nobody keeps would be lost with it.
    final ObservableList<Capture> shownCaptures = FXCollections.unmodifiableObservableList(captures);
    final ObservableList<RunRecord> shownRuns = FXCollections.unmodifiableObservableList(runs);
    String setupDocument = "{}";

    /** @throws BadFileException when the document cannot be read; nothing has changed then */
    void show(Change change) throws BadFileException {
        Optional<String> body = change.body();
        switch (change.kind()) {
            case SETUP -> {
                setupDocument = body.orElse("{}");
                setup.set(parsed(body));
            }
            case CHOSEN_FOR -> gainsChosenFor.set(parsed(body));
            case CHOSEN_UNDER ->
                gainsChosenUnder.set(body.isEmpty() ? Optional.empty() : Optional.of(ConditionsJson.parse(body.get())));
            case CONDITIONS -> conditions.set(body.isEmpty() ? Conditions.UNKNOWN : ConditionsJson.parse(body.get()));
            case COLUMNS -> columns.set(body.isEmpty() ? ColumnMap.AS_NAMED : ColumnMapJson.parse(body.get()));
            case COURSE ->
                course.set(body.isEmpty() ? Optional.empty() : Optional.of(CourseJson.parseDraft(body.get())));
            case ENTRIES -> {
                if (body.isPresent()) {
                    entries.put(change.id(), EntriesJson.parse(body.get()));
                } else {
                    entries.remove(change.id());
                }
            }
            case FACT -> {
                if (body.isPresent()) {
                    Fact fact = FactJson.parse(body.get());
                    facts.put(fact.constant(), fact);
                } else {
                    facts.keySet().removeIf(c -> c.word().equals(change.id()));
                }
            }
            case CAPTURE -> {
                captures.removeIf(c -> c.id().equals(change.id()));
                if (body.isPresent()) {
                    insert(captures, CaptureJson.parse(change.id(), body.get()), Capture::at);
                }
            }
            case RUN -> {
                runs.removeIf(r -> r.id().equals(change.id()));
                if (body.isPresent()) {
                    insert(runs, RunJson.parse(change.id(), body.get()), RunRecord::at);
                }
            }
            default -> LOG.info("a document of a kind unknown here is left alone: " + change.kind());
        }
    }

    private static Optional<Setup> parsed(Optional<String> body) throws BadFileException {
        return body.isEmpty() ? Optional.empty() : Optional.of(SetupJson.parse(body.get()));
    }

    /** In the order of time, also for one that undo brings back. */
    private static <T> void insert(List<T> list, T value, Function<T, Instant> at) {
        int place = list.size();
        while (place > 0 && at.apply(list.get(place - 1)).isAfter(at.apply(value))) {
            place--;
        }
        list.add(place, value);
    }
}
