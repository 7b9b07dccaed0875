package fahrbahn.app.season;

import fahrbahn.core.knowledge.Basis;
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
import fahrbahn.store.Kinds;
import fahrbahn.store.Ledger;
import fahrbahn.store.Put;
import fahrbahn.store.Shared;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.collections.ObservableList;

/** The open season as the stations see it: the robot, table and venue in hand, and every change to what is known of them. */
public final class Season {
    private final Ledger ledger;
    private final ReadOnlyObjectWrapper<Path> path;
    private final Clock clock;
    private final InHand in = new InHand();
    private final Club club;
    private final Measurements measurements;
    private final Choices choices;
    private final LogBook logBook;
    private Setting setting;

    public Season(Ledger ledger, Path path, Clock clock) {
        this.ledger = ledger;
        this.path = new ReadOnlyObjectWrapper<>(path);
        this.clock = clock;
        this.club = new Club(this, ledger);
        this.measurements = new Measurements(this, ledger, in);
        this.choices = new Choices(this, ledger, in);
        this.logBook = new LogBook(this, ledger);
        ledger.listen(kinds -> refresh());
        refresh();
    }

    private void refresh() {
        in.refresh(ledger, club.settled(ledger.get(Kinds.HAND, "").orElse(Hand.FIRST)));
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
        return clock.instant();
    }

    /** What has been measured on the robot's bench. */
    public Measurements measurements() {
        return measurements;
    }

    /** Gains chosen and levels used, with what each rests on. */
    public Choices choices() {
        return choices;
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

    public ReadOnlyObjectProperty<Hand> handProperty() {
        return in.hand.getReadOnlyProperty();
    }

    Hand hand() {
        return in.hand.get();
    }

    /** The robot, line and law; empty until the coach has typed something. */
    public ReadOnlyObjectProperty<Optional<Setup>> setupProperty() {
        return in.setup.getReadOnlyProperty();
    }

    /** The setup, or the starting guess as long as there is none; told after {@link #setupProperty}. */
    public ReadOnlyObjectProperty<Setup> setupNowProperty() {
        return in.setupNow.getReadOnlyProperty();
    }

    /** The same as it is now. */
    public Setup setupOrGuess() {
        return in.setup.get().orElseGet(StartingSetup::guess);
    }

    /** Names of the robot's sensors, left to right. */
    public List<String> sensorNames() {
        return setupOrGuess().robot().sensors().stream().map(Sensor::name).toList();
    }

    /** Whether it began as guesses that are remembered. */
    public boolean begun() {
        return ledger.get(Kinds.BEGUN, hand().robot()).isPresent();
    }

    /** What the robot began as: numbers that are still so are guesses. */
    public Setup begunAs() {
        return ledger.get(Kinds.BEGUN, hand().robot()).orElseGet(StartingSetup::guess);
    }

    /** Where and with what the team works now; the sensors' height is not in it, the setup has that. */
    public ReadOnlyObjectProperty<Conditions> conditionsProperty() {
        return in.conditions.getReadOnlyProperty();
    }

    /** The circumstances as of now, sensor height included, to be noted with whatever is measured. */
    public Conditions conditionsNow() {
        Conditions said = in.conditions.get();
        return in.setup.get().isEmpty()
                ? said
                : said.withSensorHeightMm(in.setup.get().get().robot().chassis().sensorHeightMm());
    }

    /** Team, table and venue in hand, as far as they are known. */
    public String whose() {
        String team = club().entries(Sort.ROBOT).stream()
                .filter(Entry::inHand)
                .map(Entry::team)
                .findFirst()
                .orElse("");
        return Stream.of(team, tableNow().name(), club().venueName(hand().venue()))
                .filter(word -> !word.isEmpty())
                .collect(Collectors.joining(", "));
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
        return in.print;
    }

    public ReadOnlyObjectProperty<ColumnMap> columnsProperty() {
        return in.columns.getReadOnlyProperty();
    }

    /** The course of the table in hand; empty until one has been begun, and for a mat. */
    public ReadOnlyObjectProperty<Optional<Draft>> courseProperty() {
        return in.course.getReadOnlyProperty();
    }

    /** The course with what it amounts to; the practice loop as long as there is none. */
    public LaidCourse laidCourse() {
        return in.laid;
    }

    /** The mat that the table in hand is; empty when it is none. */
    public ReadOnlyObjectProperty<Optional<MatSheet>> matProperty() {
        return in.mat.getReadOnlyProperty();
    }

    /** A picture by its identifier. */
    public Optional<PackedPicture> picture(String id) {
        return ledger.get(Kinds.PICTURE, "", id);
    }

    /** Oldest first. */
    public ObservableList<Capture> captures() {
        return in.shownCaptures;
    }

    /** Oldest first. */
    public ObservableList<Run> runs() {
        return in.shownRuns;
    }

    String robotName() {
        return setupOrGuess().robot().name();
    }

    /** Changes the setup; a refusal from a constructor passes through and nothing changes. */
    public void changeSetup(UnaryOperator<Setup> change) {
        Setup before = setupOrGuess();
        Setup after = change.apply(before);
        ledger.change(SeasonWords.setup(before, after), List.of(Put.of(Kinds.SETUP, hand().robot(), after)));
    }

    /** All that one act changes is one step of undo. @param label of that step */
    public void together(String label, Runnable changes) {
        ledger.together(label, changes);
    }

    /** Changes what is noted of the robot's circumstances; the venue is in hand, not in it. */
    public void changeConditions(UnaryOperator<Conditions> change) {
        Conditions before = in.conditions.get();
        Conditions after = change.apply(before);
        ledger.change(
                SeasonWords.conditions(before, after, robotName(), club::venueName),
                List.of(Put.of(Kinds.CONDITIONS, hand().robot(), after.withVenue(""))));
    }

    public void changeColumns(ColumnMap newColumns) {
        ledger.change("columns of " + robotName(), List.of(Put.of(Kinds.COLUMNS, hand().robot(), newColumns)));
    }

    /** Puts another course on the table in hand. */
    public void lay(Draft draft) {
        ledger.change("the course " + draft.name(), List.of(Put.of(Kinds.COURSE, hand().table(), draft)));
    }

    /** Changes the mat that the table in hand is. */
    public void changeMat(String label, MatSheet mat) {
        ledger.change(label, List.of(Put.of(Kinds.MAT, hand().table(), mat)));
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
