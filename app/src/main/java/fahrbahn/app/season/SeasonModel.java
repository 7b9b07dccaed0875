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
import fahrbahn.store.Revision;
import fahrbahn.store.RunJson;
import fahrbahn.store.SeasonFile;
import fahrbahn.store.SetupJson;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.collections.ObservableList;
import javafx.collections.ObservableMap;

/**
 * The open season: what is known now, and every change to it. A change shows at once and is written at once, in order, by the
 * writer; when writing fails the coach is told.
 */
public final class SeasonModel {
    private static final Logger LOG = Logger.getLogger(SeasonModel.class.getName());

    private static final String ONLY = "main";

    private final SeasonFile file;
    private final Executor writer;
    private final Executor interfaceThread;
    private final Consumer<String> failed;
    private final SeasonState state = new SeasonState();

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
        for (String kind : SeasonState.KINDS) {
            for (Map.Entry<String, String> document : file.documents(kind).entrySet()) {
                state.show(Change.put(kind, document.getKey(), document.getValue()));
            }
        }
    }

    public Path path() {
        return file.file();
    }

    /** The robot, line and law; empty until the coach has typed something. */
    public ReadOnlyObjectProperty<Optional<Setup>> setupProperty() {
        return state.setup.getReadOnlyProperty();
    }

    /** The setup, or the starting guess as long as there is none. */
    public Setup setupOrGuess() {
        return state.setup.get().orElseGet(StartingSetup::guess);
    }

    public ReadOnlyObjectProperty<Optional<Setup>> gainsChosenForProperty() {
        return state.gainsChosenFor.getReadOnlyProperty();
    }

    public ReadOnlyObjectProperty<Optional<Conditions>> gainsChosenUnderProperty() {
        return state.gainsChosenUnder.getReadOnlyProperty();
    }

    /** Where and with what the team works now; the sensors' height is not in it, the setup has that. */
    public ReadOnlyObjectProperty<Conditions> conditionsProperty() {
        return state.conditions.getReadOnlyProperty();
    }

    /** The circumstances as of now, sensor height included, to be noted with whatever is measured. */
    public Conditions conditionsNow() {
        Conditions said = state.conditions.get();
        return state.setup.get().isEmpty()
                ? said
                : said.withSensorHeightMm(
                        state.setup.get().get().robot().chassis().sensorHeightMm());
    }

    public ReadOnlyObjectProperty<ColumnMap> columnsProperty() {
        return state.columns.getReadOnlyProperty();
    }

    /** The course that is being laid; empty until one has been begun. */
    public ReadOnlyObjectProperty<Optional<Draft>> courseProperty() {
        return state.course.getReadOnlyProperty();
    }

    /** What has been typed on each bench card, a row an entry. */
    public ObservableMap<String, List<List<Double>>> entries() {
        return state.shownEntries;
    }

    public void changeEntries(String card, List<List<Double>> rows) {
        apply(List.of(Change.put(SeasonState.ENTRIES, card, EntriesJson.write(rows))));
    }

    /** Constants that have been measured. */
    public ObservableMap<Constant, Fact> facts() {
        return state.shownFacts;
    }

    /** Oldest first. */
    public ObservableList<Capture> captures() {
        return state.shownCaptures;
    }

    /** Oldest first. */
    public ObservableList<RunRecord> runs() {
        return state.shownRuns;
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
                Change.put(SeasonState.CHOSEN_FOR, ONLY, SetupJson.write(chosen)),
                Change.put(SeasonState.CHOSEN_UNDER, ONLY, ConditionsJson.write(conditionsNow()))));
    }

    public void changeConditions(UnaryOperator<Conditions> change) {
        apply(List.of(
                Change.put(SeasonState.CONDITIONS, ONLY, ConditionsJson.write(change.apply(state.conditions.get())))));
    }

    public void changeColumns(ColumnMap newColumns) {
        apply(List.of(Change.put(SeasonState.COLUMNS, ONLY, ColumnMapJson.write(newColumns))));
    }

    /** Puts another course on the table. */
    public void lay(Draft draft) {
        apply(List.of(Change.put(SeasonState.COURSE, ONLY, CourseJson.write(draft))));
    }

    /** Puts measured constants on the robot and remembers how they were measured, as one step. */
    public void useFacts(List<Fact> used, UnaryOperator<Setup> alsoChange) {
        Setup changed = setupOrGuess();
        List<Change> changes = new ArrayList<>();
        for (Fact fact : used) {
            changed = fact.constant().with(changed, fact.measured().value());
            changes.add(Change.put(SeasonState.FACT, fact.constant().word(), FactJson.write(fact)));
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
        history(SeasonState.FACT, constant.word(), revisions -> told.accept(states(revisions, FactJson::parse)));
    }

    /** Every state of the robot, oldest first, with when it came to be. */
    public void setupHistory(Consumer<List<Map.Entry<Instant, Setup>>> told) {
        history(
                SeasonState.SETUP,
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
            return Change.put(SeasonState.SETUP, ONLY, SetupJson.writeOver(state.setupDocument, changed));
        } catch (BadFileException ownDocument) {
            throw new IllegalStateException("the setup in memory is JSON", ownDocument);
        }
    }

    public void addCaptures(List<Capture> added) {
        apply(added.stream()
                .map(c -> Change.put(SeasonState.CAPTURE, c.id(), CaptureJson.write(c)))
                .toList());
    }

    public void removeCapture(Capture capture) {
        apply(List.of(Change.remove(SeasonState.CAPTURE, capture.id())));
    }

    public void logRun(RunRecord run) {
        apply(List.of(Change.put(SeasonState.RUN, run.id(), RunJson.write(run))));
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
                state.show(change);
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
                state.show(change);
            } catch (BadFileException broken) {
                failed.accept(broken.getMessage());
            }
        }
    }

    /** Closes the file when everything before has been written. */
    public void close() {
        writer.execute(file::close);
    }
}
