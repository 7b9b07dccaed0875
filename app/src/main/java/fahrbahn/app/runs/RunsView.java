package fahrbahn.app.runs;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.StationView;
import fahrbahn.app.kit.StopwatchBar;
import fahrbahn.app.words.Words;
import fahrbahn.core.check.BadValueException;
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

    private final RunsModel model;
    private final TableView<Run> table = new TableView<>();
    private final TextField time = new TextField();
    private final TextField note = new TextField();
    private final Label problem = Nodes.label("", "problem");

    private RunsView(RunsModel model) {
        this.model = model;
    }

    public static StationView of(RunsModel model) {
        return new RunsView(model).build();
    }

    private StationView build() {
        table.setId("runs");
        table.setPlaceholder(Nodes.label("No runs yet.", "caption"));
        table.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        column("when", 110, run -> TIME.format(run.at()));
        column("who", 70, run -> run.source() == Run.Source.TWIN ? "twin" : "robot");
        column("where", 130, run -> run.basis().table().name());
        column("outcome", 100, run -> run.outcome().completed() ? "completed" : "lost");
        column("time, s", 80, run -> measured(run.outcome().timeS()));
        column("RMS, mm", 80, run -> measured(run.outcome().rmsMm()));
        column("Kp", 60, run -> Words.number(run.setting().setup().law().kp()));
        column("Kd", 60, run -> Words.number(run.setting().setup().law().kd()));
        column("base", 60, run -> Words.number(run.setting().setup().law().baseCommand()));
        column("note", 160, Run::note);
        time.setId("runTime");
        time.setPromptText("time, s");
        time.setPrefColumnCount(6);
        note.setId("runNote");
        note.setPromptText("note");
        Action ran = new Action("ran", "Ran", KeyCode.R, () -> log(true));
        Action lost = new Action("lost", "Lost", KeyCode.X, () -> log(false));
        model.runs().addListener((InvalidationListener) o -> refresh());
        refresh();
        StopwatchBar watch = new StopwatchBar(model.watch());
        Action.alsoIn(time, watch.actions());
        model.watch().tapsProperty().addListener(o -> fillIn());
        VBox content = Nodes.column(
                watch,
                Nodes.row(
                        Nodes.label("A run on the table:", "caption"),
                        time,
                        note,
                        ran.button(),
                        lost.button(),
                        problem),
                Nodes.label("Fingers and hair away from the wheels, and a hand ready at the table's edge.", "caution"),
                Nodes.grow(table));
        List<Action> actions = new ArrayList<>(List.of(ran, lost));
        actions.addAll(watch.actions());
        return new StationView(content, actions, nowNs -> watch.frame());
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
        column.setSortable(false);
        table.getColumns().add(column);
    }

    private static String measured(double value) {
        return Double.isNaN(value) ? "" : Words.number(value);
    }

    private void log(boolean completed) {
        try {
            model.logTyped(completed, time.getText(), note.getText());
            problem.setText("");
            time.clear();
            model.watch().clear();
            note.clear();
        } catch (BadValueException refused) {
            problem.setText(refused.getMessage() + ".");
        }
    }

    private void refresh() {
        List<Run> newestFirst = new ArrayList<>(model.runs());
        Collections.reverse(newestFirst);
        table.getItems().setAll(newestFirst);
    }
}
