package fahrbahn.app.runs;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.words.RunWords;
import fahrbahn.core.trials.Run;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.Function;
import javafx.beans.InvalidationListener;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.collections.ObservableList;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;

/** Runs as lines, of which only those on the screen are made. */
final class RunsTable extends TableView<Run> {
    /** Of its width a column keeps so much in a narrow window; the note gives way first. */
    private static final double LEAST_SHARE = 0.9;

    private static final double LEAST_NOTE = 40;

    RunsTable(String id, String what) {
        setId(id);
        setAccessibleText(what);
        setPlaceholder(Nodes.label("No such runs.", "caption"));
        setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        column("when", 100, RunWords::when);
        column("who", 52, RunWords::who);
        column("where", 104, run -> run.basis().table().name());
        column("how", 50, RunWords::outcome);
        column("time, s", 58, run -> RunWords.measured(run.outcome().timeS()));
        column("stop, lost", 118, RunWords::place);
        column("setting", 140, RunWords::setting);
        column("note", 64, Run::note);
    }

    /** Keeps showing them, newest first, as they come and go. */
    void show(ObservableList<Run> runs) {
        runs.addListener((InvalidationListener) o -> newestFirst(runs));
        newestFirst(runs);
    }

    private void newestFirst(List<Run> runs) {
        List<Run> turned = new ArrayList<>(runs);
        Collections.reverse(turned);
        getItems().setAll(turned);
    }

    private void column(String title, double width, Function<Run, String> text) {
        TableColumn<Run, String> column = new TableColumn<>(title);
        column.setCellValueFactory(cell -> new ReadOnlyStringWrapper(text.apply(cell.getValue())));
        column.setPrefWidth(width);
        column.setMinWidth(title.equals("note") ? LEAST_NOTE : LEAST_SHARE * width);
        column.setSortable(false);
        getColumns().add(column);
    }
}
