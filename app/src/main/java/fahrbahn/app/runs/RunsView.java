package fahrbahn.app.runs;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Fields;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.StationView;
import fahrbahn.app.kit.StopwatchBar;
import fahrbahn.app.words.Refusals;
import fahrbahn.app.words.Words;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.setup.Law;
import fahrbahn.core.trials.Run;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.Function;
import javafx.beans.InvalidationListener;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.scene.control.Label;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;

/** The log book, newest run first. */
public final class RunsView {
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("d MMM HH:mm").withZone(ZoneId.systemDefault());

    /** Of its width a column keeps so much in a narrow window; the note gives way first. */
    private static final double LEAST_SHARE = 0.96;

    private static final double LEAST_NOTE = 40;

    private final RunsModel model;
    private final TableView<Run> table = new TableView<>();
    private final TextField time = new TextField();
    private final TextField along = new TextField();
    private final TextField across = new TextField();
    private final TextField lostAt = new TextField();
    private final TextField note = new TextField();
    private final Label logged = Nodes.label("", "reason");
    private final Label problem = Nodes.label("", "problem");

    private RunsView(RunsModel model) {
        this.model = model;
    }

    public static StationView of(RunsModel model) {
        return new RunsView(model).build();
    }

    private StationView build() {
        table.setId("runs");
        table.setAccessibleText("The log book, newest run first");
        table.setPlaceholder(Nodes.label("No runs yet.", "caption"));
        table.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        column("when", 118, run -> TIME.format(run.at()));
        column("who", 58, run -> run.source() == Run.Source.TWIN ? "twin" : "robot");
        column("where", 122, run -> run.basis().table().name());
        column("outcome", 90, run -> run.outcome().completed() ? "completed" : "lost");
        column("time, s", 64, run -> measured(run.outcome().timeS()));
        column("stop, lost", 110, RunsView::place);
        column("Kp, Kd, base", 125, RunsView::law);
        column("note", 90, Run::note);
        field(time, "runTime", "time, s", 6, "How long the run took, by stopwatch; empty when nobody timed it.");
        field(
                along,
                "runAlong",
                "along, mm",
                7,
                "How far beyond its place it stopped along the line, negative before it; empty when nobody measured.");
        field(
                across,
                "runAcross",
                "across, mm",
                7,
                "How far to the left of its place it stopped, negative to the right; empty when nobody measured.");
        field(
                lostAt,
                "runLostAt",
                "lost at",
                7,
                "Where it was lost: the number of a part of the table, its name as in bend 2, or how far along as in 1.2 m.");
        field(note, "runNote", "note", 10, "Anything about this run, in your own words; it stands in the log book.");
        Action ran = new Action("ran", "Ran", KeyCode.R, () -> log(true));
        Action lost = new Action("lost", "Lost", KeyCode.X, () -> log(false));
        Action back = new Action("takeRunBack", "Take the last one back", KeyCode.BACK_SPACE, model::takeBack);
        back.button().setDisable(true);
        model.loggedProperty()
                .addListener(o ->
                        back.button().setDisable(model.loggedProperty().get().isEmpty()));
        logged.setId("logged");
        logged.textProperty().bind(model.loggedProperty());
        model.runs().addListener((InvalidationListener) o -> refresh());
        refresh();
        StopwatchBar watch = new StopwatchBar(model.watch());
        List<Action> inNumbers = new ArrayList<>(watch.actions());
        inNumbers.addAll(List.of(ran, lost));
        List.of(time, along, across).forEach(number -> Action.alsoIn(number, inNumbers));
        model.watch().tapsProperty().addListener(o -> fillIn());
        VBox content = Nodes.column(
                watch,
                Nodes.flow(
                        Nodes.label("A run on the table:", "caption"),
                        time,
                        along,
                        across,
                        lostAt,
                        note,
                        ran.button(),
                        lost.button(),
                        back.button(),
                        logged,
                        problem),
                Nodes.label("Fingers and hair away from the wheels, and a hand ready at the table's edge.", "caution"),
                Nodes.grow(table));
        List<Action> actions = new ArrayList<>(List.of(ran, lost, back));
        actions.addAll(watch.actions());
        Pages.Page log = new Pages.Page("Log", content, actions, nowNs -> watch.frame());
        return new Pages(List.of(log, new StopsPage(model).page())).view(model.pageProperty());
    }

    private static void field(TextField field, String id, String words, int columns, String what) {
        field.setId(id);
        field.setAccessibleText(words);
        field.setPromptText(words);
        field.setPrefColumnCount(columns);
        Fields.describe(field, words, what);
    }

    /** Where it stopped or was lost; of the twin how near it kept to its path. */
    private static String place(Run run) {
        double along = run.outcome().stop().alongMm();
        double across = run.outcome().stop().acrossMm();
        if (!Double.isNaN(run.outcome().lostMm())) {
            return "lost at " + Words.number(run.outcome().lostMm() / 1000) + " m";
        }
        if (!Double.isNaN(along) || !Double.isNaN(across)) {
            return "stop " + measured(along) + " / " + measured(across);
        }
        return Double.isNaN(run.outcome().rmsMm())
                ? ""
                : "RMS " + measured(run.outcome().rmsMm());
    }

    /** The latest lap is the time of the run. */
    private void fillIn() {
        if (model.watch().tapsProperty().get().count() > 0) {
            time.setText(Words.hundredths(model.watch().tapsProperty().get().lastS()));
        }
    }

    private void column(String title, double width, Function<Run, String> text) {
        TableColumn<Run, String> column = new TableColumn<>(title);
        column.setCellValueFactory(cell -> new ReadOnlyStringWrapper(text.apply(cell.getValue())));
        column.setPrefWidth(width);
        column.setMinWidth(title.equals("note") ? LEAST_NOTE : LEAST_SHARE * width);
        column.setSortable(false);
        table.getColumns().add(column);
    }

    private static String law(Run run) {
        Law law = run.setting().setup().law();
        return Words.number(law.kp()) + ", " + Words.number(law.kd()) + " at " + Words.number(law.baseCommand());
    }

    private static String measured(double value) {
        return Double.isNaN(value) ? "" : Words.number(value);
    }

    private void log(boolean completed) {
        try {
            model.logTyped(
                    completed,
                    new RunsModel.Typed(
                            time.getText(), along.getText(), across.getText(), lostAt.getText(), note.getText()));
            problem.setText("");
            List.of(time, along, across, lostAt, note).forEach(TextField::clear);
            model.watch().clear();
        } catch (BadValueException refused) {
            problem.setText(Refusals.sentence(refused));
        }
    }

    private void refresh() {
        List<Run> newestFirst = new ArrayList<>(model.runs());
        Collections.reverse(newestFirst);
        table.getItems().setAll(newestFirst);
    }
}
