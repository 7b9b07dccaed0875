package fahrbahn.app.model;

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
import fahrbahn.store.Revision;
import fahrbahn.store.RunJson;
import fahrbahn.store.SeasonFile;
import fahrbahn.store.SetupJson;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.collections.ObservableMap;

/**
 * The open season: what is known now, and every change to it. A change shows at once and is written at once, in order, by the
 * writer; when writing fails the coach is told.
 */
public final class SeasonModel {
    private static final Logger LOG = Logger.getLogger(SeasonModel.class.getName());

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

    private static final String ONLY = "main";

    private final SeasonFile file;
    private final Executor writer;
    private final Executor interfaceThread;
    private final Consumer<String> failed;
    private final ReadOnlyObjectWrapper<Optional<Setup>> setup = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<Setup>> gainsChosenFor = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<Conditions>> gainsChosenUnder =
            new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Conditions> conditions = new ReadOnlyObjectWrapper<>(Conditions.UNKNOWN);
    private final ReadOnlyObjectWrapper<ColumnMap> columns = new ReadOnlyObjectWrapper<>(ColumnMap.AS_NAMED);
    private final ReadOnlyObjectWrapper<Optional<Draft>> course = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ObservableMap<Constant, Fact> facts = FXCollections.observableMap(new EnumMap<>(Constant.class));
    private final ObservableMap<Constant, Fact> shownFacts = FXCollections.unmodifiableObservableMap(facts);
    private final ObservableMap<String, List<List<Double>>> entries = FXCollections.observableHashMap();
    private final ObservableMap<String, List<List<Double>>> shownEntries =
            FXCollections.unmodifiableObservableMap(entries);
    private final ObservableList<Capture> captures = FXCollections.observableArrayList();
    private final ObservableList<RunRecord> runs = FXCollections.observableArrayList();
    // Made once: a listener on a wrapper that nobody keeps would be lost with it.
    private final ObservableList<Capture> shownCaptures = FXCollections.unmodifiableObservableList(captures);
    private final ObservableList<RunRecord> shownRuns = FXCollections.unmodifiableObservableList(runs);
    private String setupDocument = "{}";

    /**
     * @param writer runs one task after the other
     * @param failed told in words when a change could not be saved
     */
    public SeasonModel(SeasonFile file, Executor writer, Executor interfaceThread, Consumer<String> failed)
            throws BadFileException {
        this.file = file;
        this.writer = writer;
        this.interfaceThread = interfaceThread;
        this.failed = failed;
        for (String kind :
                List.of(CONDITIONS, SETUP, CHOSEN_FOR, CHOSEN_UNDER, COLUMNS, FACT, ENTRIES, COURSE, CAPTURE, RUN)) {
            for (Map.Entry<String, String> document : file.documents(kind).entrySet()) {
                show(Change.put(kind, document.getKey(), document.getValue()));
            }
        }
    }

    public Path path() {
        return file.file();
    }

    /** The robot, line and law; empty until the coach has typed something. */
    public ReadOnlyObjectProperty<Optional<Setup>> setupProperty() {
        return setup.getReadOnlyProperty();
    }

    /** The setup, or the starting guess as long as there is none. */
    public Setup setupOrGuess() {
        return setup.get().orElseGet(StartingSetup::guess);
    }

    public ReadOnlyObjectProperty<Optional<Setup>> gainsChosenForProperty() {
        return gainsChosenFor.getReadOnlyProperty();
    }

    public ReadOnlyObjectProperty<Optional<Conditions>> gainsChosenUnderProperty() {
        return gainsChosenUnder.getReadOnlyProperty();
    }

    /** Where and with what the team works now; the sensors' height is not in it, the setup has that. */
    public ReadOnlyObjectProperty<Conditions> conditionsProperty() {
        return conditions.getReadOnlyProperty();
    }

    /** The circumstances as of now, sensor height included, to be noted with whatever is measured. */
    public Conditions conditionsNow() {
        Conditions said = conditions.get();
        return setup.get().isEmpty()
                ? said
                : said.withSensorHeightMm(setup.get().get().robot().chassis().sensorHeightMm());
    }

    public ReadOnlyObjectProperty<ColumnMap> columnsProperty() {
        return columns.getReadOnlyProperty();
    }

    /** The course that is being laid; empty until one has been begun. */
    public ReadOnlyObjectProperty<Optional<Draft>> courseProperty() {
        return course.getReadOnlyProperty();
    }

    /** What has been typed on each bench card, a row an entry. */
    public ObservableMap<String, List<List<Double>>> entries() {
        return shownEntries;
    }

    public void changeEntries(String card, List<List<Double>> rows) {
        apply(List.of(Change.put(ENTRIES, card, EntriesJson.write(rows))));
    }

    /** Constants that have been measured. */
    public ObservableMap<Constant, Fact> facts() {
        return shownFacts;
    }

    /** Oldest first. */
    public ObservableList<Capture> captures() {
        return shownCaptures;
    }

    /** Oldest first. */
    public ObservableList<RunRecord> runs() {
        return shownRuns;
    }

    /** Changes the setup; a refusal from a constructor passes through and nothing changes. */
    public void changeSetup(UnaryOperator<Setup> change) {
        apply(List.of(setupChange(change.apply(setupOrGuess()))));
    }

    /** Changes the setup's gains and remembers what they were chosen for, as one step. */
    public void chooseGains(UnaryOperator<Setup> change) {
        Setup chosen = change.apply(setupOrGuess());
        apply(List.of(
                setupChange(chosen),
                Change.put(CHOSEN_FOR, ONLY, SetupJson.write(chosen)),
                Change.put(CHOSEN_UNDER, ONLY, ConditionsJson.write(conditionsNow()))));
    }

    public void changeConditions(UnaryOperator<Conditions> change) {
        apply(List.of(Change.put(CONDITIONS, ONLY, ConditionsJson.write(change.apply(conditions.get())))));
    }

    public void changeColumns(ColumnMap newColumns) {
        apply(List.of(Change.put(COLUMNS, ONLY, ColumnMapJson.write(newColumns))));
    }

    /** Puts another course on the table. */
    public void lay(Draft draft) {
        apply(List.of(Change.put(COURSE, ONLY, CourseJson.write(draft))));
    }

    /** Puts measured constants on the robot and remembers how they were measured, as one step. */
    public void useFacts(List<Fact> used, UnaryOperator<Setup> alsoChange) {
        Setup changed = setupOrGuess();
        List<Change> changes = new ArrayList<>();
        for (Fact fact : used) {
            changed = fact.constant().with(changed, fact.measured().value());
            changes.add(Change.put(FACT, fact.constant().word(), FactJson.write(fact)));
        }
        changes.add(0, setupChange(alsoChange.apply(changed)));
        apply(changes);
    }

    /** Every state a document has been in, oldest first; told on the interface thread. */
    private void history(String kind, String id, Consumer<List<Revision>> told) {
        writer.execute(() -> {
            List<Revision> found = file.history(kind, id);
            interfaceThread.execute(() -> told.accept(found));
        });
    }

    /** How a measured constant came about: every measurement of it, oldest first. */
    public void factHistory(Constant constant, Consumer<List<Fact>> told) {
        history(FACT, constant.word(), revisions -> told.accept(states(revisions, FactJson::parse)));
    }

    /** Every state of the robot, oldest first, with when it came to be. */
    public void setupHistory(Consumer<List<Map.Entry<Instant, Setup>>> told) {
        history(
                SETUP,
                ONLY,
                revisions -> told.accept(revisions.stream()
                        .flatMap(r ->
                                states(List.of(r), SetupJson::parse).stream().map(s -> Map.entry(r.at(), s)))
                        .toList()));
    }

    private interface Parser<T> {
        T parse(String body) throws BadFileException;
    }

    private <T> List<T> states(List<Revision> revisions, Parser<T> parser) {
        List<T> states = new ArrayList<>();
        for (Revision revision : revisions) {
            try {
                if (revision.body().isPresent()) {
                    states.add(parser.parse(revision.body().get()));
                }
            } catch (BadFileException unreadable) {
                failed.accept(unreadable.getMessage());
            }
        }
        return List.copyOf(states);
    }

    private Change setupChange(Setup changed) {
        try {
            return Change.put(SETUP, ONLY, SetupJson.writeOver(setupDocument, changed));
        } catch (BadFileException ownDocument) {
            throw new IllegalStateException("the setup in memory is JSON", ownDocument);
        }
    }

    public void addCaptures(List<Capture> added) {
        apply(added.stream()
                .map(c -> Change.put(CAPTURE, c.id(), CaptureJson.write(c)))
                .toList());
    }

    public void removeCapture(Capture capture) {
        apply(List.of(Change.remove(CAPTURE, capture.id())));
    }

    public void logRun(RunRecord run) {
        apply(List.of(Change.put(RUN, run.id(), RunJson.write(run))));
    }

    public void undo() {
        write(file::undo);
    }

    public void redo() {
        write(file::redo);
    }

    private void apply(List<Change> changes) {
        try {
            for (Change change : changes) {
                show(change);
            }
        } catch (BadFileException ownDocument) {
            throw new IllegalStateException("documents made here can be read here", ownDocument);
        }
        write(() -> {
            file.apply(changes);
            return List.of();
        });
    }

    /** Writes on the writer and then shows what the write itself brought back, on the interface thread. */
    private void write(Callable<List<Change>> work) {
        writer.execute(() -> {
            try {
                List<Change> brought = work.call();
                interfaceThread.execute(() -> showAll(brought));
            } catch (Exception broken) {
                LOG.log(Level.SEVERE, "saving", broken);
                interfaceThread.execute(() -> failed.accept(broken.getMessage()));
            }
        });
    }

    private void showAll(List<Change> changes) {
        for (Change change : changes) {
            try {
                show(change);
            } catch (BadFileException broken) {
                failed.accept(broken.getMessage());
            }
        }
    }

    private void show(Change change) throws BadFileException {
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

    /** Closes the file when everything before has been written. */
    public void close() {
        writer.execute(file::close);
    }
}
