package fahrbahn.app.runs;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.WrappedCell;
import fahrbahn.core.trials.Run;
import fahrbahn.words.RunWords;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.Function;
import javafx.beans.InvalidationListener;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.collections.ObservableList;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;

/** Runs as lines, of which only those on the screen are made. Words that are too long for their column go on below themselves. */
final class RunsTable extends TableView<Run> {
    private static final double LEAST_NOTE = 60;

    /** @param places whether the table is told, too, below the time */
    RunsTable(String id, String what, boolean places) {
        setId(id);
        setAccessibleText(what);
        setPlaceholder(Nodes.wrapped("No such runs.", "caption"));
        setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        column(
                "when",
                112,
                run -> RunWords.when(run)
                        + (places && !run.basis().table().name().isEmpty()
                                ? "\n" + run.basis().table().name()
                                : ""));
        column("how", 56, run -> RunWords.outcome(run) + (run.source() == Run.Source.TWIN ? " (twin)" : ""));
        column("time, s", 72, run -> RunWords.measured(run.outcome().timeS()));
        column("stop, lost", 112, RunWords::place);
        column("setting", 168, RunWords::setting);
        column("note", LEAST_NOTE, Run::note);
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
        column.setCellFactory(c -> new WrappedCell<>());
        column.setPrefWidth(width);
        column.setMinWidth(width);
        column.setSortable(false);
        getColumns().add(column);
    }
}
