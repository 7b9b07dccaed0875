package fahrbahn.app.season;

import fahrbahn.app.state.Document;
import fahrbahn.app.state.Selection;
import fahrbahn.app.state.Snapshot;
import fahrbahn.app.state.State;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.knowledge.Setting;
import fahrbahn.core.knowledge.TablePrint;
import fahrbahn.core.mat.MatSheet;
import fahrbahn.core.mat.PackedPicture;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.ColumnMap;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.season.Hand;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Draft;
import fahrbahn.core.table.LaidCourse;
import fahrbahn.core.trials.Run;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.document.Put;
import fahrbahn.store.json.Shared;
import fahrbahn.store.season.Ledger;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.collections.ObservableList;

/** The open season as the stations see it: documents of the robot, table and venue selected, and the changes that touch several of them. */
public final class Season {
    private final State state;
    private final Ledger ledger;
    private final ReadOnlyObjectWrapper<Path> path;
    private final Records records;
    private final Document<Setup> setup;
    private final Document<Setup> begun;
    private final Document<Conditions> noted;
    private final Document<ColumnMap> columns;
    private final SelectedTable table;
    private final Club club;
    private final SetupChanges changes;
    private final LogBook logBook;
    private final ReadOnlyObjectWrapper<Conditions> conditions;
    private Setting setting;

    public Season(State state, Path path) {
        this.state = state;
        this.ledger = state.ledger();
        this.path = new ReadOnlyObjectWrapper<>(path);
        this.records = new Records(state); // first: the lists are there when others are told
        this.setup = state.document(Kinds.SETUP, StartingSetup::guess);
        this.begun = state.document(Kinds.BEGUN, StartingSetup::guess);
        this.noted = state.document(Kinds.CONDITIONS, () -> Conditions.UNKNOWN);
        this.columns = state.document(Kinds.COLUMNS, () -> ColumnMap.AS_NAMED);
        this.table = new SelectedTable(state);
        this.club = new Club(this, ledger);
        this.changes = new SetupChanges(this, state);
        this.logBook = new LogBook(this, state);
        this.conditions = new ReadOnlyObjectWrapper<>(conditions());
        state.follow(Set.of(Kinds.CONDITIONS, Kinds.HAND), () -> conditions.set(conditions()));
    }

    /** The selection, documents and derived values. */
    public State state() {
        return state;
    }

    public Selection selection() {
        return state.selection();
    }

    Hand hand() {
        return selection().get();
    }

    /** The file it is kept in. */
    public ReadOnlyObjectProperty<Path> pathProperty() {
        return path.getReadOnlyProperty();
    }

    /** Copies the season into another file; told why when it cannot be. */
    public void saveCopy(Path target, Consumer<Optional<String>> failure) {
        ledger.copyTo(target, failure);
    }

    /** Goes on in another file, with all that could not be saved; told why when it cannot be. */
    public void saveElsewhere(Path target, Consumer<Optional<String>> failure) {
        ledger.moveTo(target, why -> {
            if (why.isEmpty()) {
                path.set(target);
            }
            failure.accept(why);
        });
    }

    public Instant now() {
        return ledger.clock().instant();
    }

    /** Runs, and the plan of those to come. */
    public LogBook logBook() {
        return logBook;
    }

    /** Teams, robots, tables and venues. */
    public Club club() {
        return club;
    }

    /** For steps of undo and for listening; stations change the season through the methods here. */
    public Ledger ledger() {
        return ledger;
    }

    /** The robot, line and law. */
    public Document<Setup> setup() {
        return setup;
    }

    /** The setup, or the starting guess as long as there is none. */
    public Setup setupOrGuess() {
        return setup.get();
    }

    /** Changes of the robot that remember what they rest on. */
    public SetupChanges changes() {
        return changes;
    }

    /** Constants that have been measured on the robot. */
    public Map<Constant, Fact> facts() {
        Map<Constant, Fact> known = new EnumMap<>(Constant.class);
        changes.facts().all().values().forEach(fact -> known.put(fact.constant(), fact));
        return known;
    }

    /** Names of the robot's sensors, left to right. */
    public List<String> sensorNames() {
        return setupOrGuess().robot().sensors().stream().map(Sensor::name).toList();
    }

    /** Whether it began as guesses that are remembered. */
    public boolean begun() {
        return begun.kept().isPresent();
    }

    /** What the robot began as: numbers that are still so are guesses. */
    public Setup begunAs() {
        return begun.get();
    }

    /** Where and with what the team works now; the sensors' height is not in it, the setup has that. */
    public ReadOnlyObjectProperty<Conditions> conditionsProperty() {
        return conditions.getReadOnlyProperty();
    }

    private Conditions conditions() {
        return noted.get().withVenue(hand().venue());
    }

    /** The circumstances as of now, sensor height included, to be noted with whatever is measured. */
    public Conditions conditionsNow() {
        return setup.kept()
                .map(s -> conditions().withSensorHeightMm(s.robot().chassis().sensorHeightMm()))
                .orElseGet(this::conditions);
    }

    /** What a result of this moment rests on; how well constants are known is added by those who know. */
    public Basis basisNow() {
        Setup setup = setupOrGuess();
        if (setting == null || !setting.setup().equals(setup)) {
            setting = Shared.setting(setup);
        }
        return Basis.of(now(), conditionsNow()).withSetting(setting).withTable(tableNow());
    }

    /** The table in hand as it is now. */
    public TablePrint tableNow() {
        return table.print();
    }

    /** Which column is which sensor. */
    public Document<ColumnMap> columns() {
        return columns;
    }

    /** The course of the table selected; none until one has been begun, and for a mat. */
    public Document<Draft> course() {
        return table.course();
    }

    /** The course with what it amounts to; the practice loop as long as there is none. */
    public LaidCourse laidCourse() {
        return table.laid();
    }

    /** The mat that the table selected is. */
    public Document<MatSheet> mat() {
        return table.mat();
    }

    /** A picture by its identifier. */
    public Optional<PackedPicture> picture(String id) {
        return ledger.get(Kinds.PICTURE, "", id);
    }

    /** Oldest first. */
    public ObservableList<Capture> captures() {
        return records.captures();
    }

    /** The same as they are now, for what is derived from them. */
    public Snapshot<Capture> capturesNow() {
        return records.capturesNow();
    }

    /** Oldest first. */
    public ObservableList<Run> runs() {
        return records.runs();
    }

    /** The same as they are now, for what is derived from them. */
    public Snapshot<Run> runsNow() {
        return records.runsNow();
    }

    /** Those of every robot, oldest first. */
    public Snapshot<Run> runsOfAllNow() {
        return records.runsOfAllNow(logBook);
    }

    public String robotName() {
        return setupOrGuess().robot().name();
    }

    /** Something was typed; a refusal from a constructor passes through and nothing changes. */
    public void changeSetup(UnaryOperator<Setup> change) {
        changes.type(change);
    }

    public void addCaptures(List<Capture> added) {
        List<Put<?>> puts = new ArrayList<>();
        added.forEach(one -> puts.add(Put.of(Kinds.CAPTURE, hand().robot(), one.id(), one)));
        ledger.change(SeasonWords.captures(added, robotName()), puts);
    }

    public void removeCapture(Capture capture) {
        ledger.change(
                "capture of " + capture.surface() + " away, " + robotName(),
                List.of(Put.away(Kinds.CAPTURE, hand().robot(), capture.id())));
    }

    /** All that one act changes is one step of undo. @param label of that step */
    public void together(String label, Runnable changes) {
        ledger.together(label, changes);
    }

    /** Changes what is noted of the robot's circumstances; the venue is selected, not noted. */
    public void changeConditions(UnaryOperator<Conditions> change) {
        Conditions before = conditions();
        Conditions after = change.apply(before);
        noted.set(SeasonWords.conditions(before, after, robotName(), club::venueName), after.withVenue(""));
    }

    /** Puts another course on the table selected. */
    public void lay(Draft draft) {
        course().set("the course " + draft.name(), draft);
    }

    public Optional<String> undo() {
        return ledger.undo();
    }

    public Optional<String> redo() {
        return ledger.redo();
    }

    /** Closes the file when everything before has been written. */
    public void close() {
        ledger.close();
    }
}
