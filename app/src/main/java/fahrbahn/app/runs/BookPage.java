package fahrbahn.app.runs;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.FileAsk;
import fahrbahn.app.kit.Follow;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.SideBySide;
import fahrbahn.app.kit.field.ChoiceField;
import fahrbahn.app.kit.field.Fields;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.trials.Run;
import fahrbahn.words.Refusals;
import java.util.List;
import java.util.Optional;
import javafx.collections.FXCollections;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser.ExtensionFilter;

/** The log book: search, sort, mend and take out, files in and out. */
final class BookPage {
    private static final double MAIN_SHARE = 0.64;
    private static final double LEAST_EM = 66;

    private final BookModel model;
    private final RunsModel runs;
    private final RunsTable table = new RunsTable("book", "The runs found", true);
    private final TextField search = new TextField();
    private final Label count = Nodes.label("", "reason");
    private final Label problem = Nodes.wrapped("", "problem");
    private boolean showing;

    BookPage(RunsModel runs) {
        this.runs = runs;
        this.model = runs.book();
    }

    Pages.Page page() {
        search.setId("bookSearch");
        search.setAccessibleText("search");
        search.setPromptText("search: lost gym #tag time<12");
        search.setPrefColumnCount(20);
        Fields.describe(search, "search", BookWords.SEARCH);
        Fields.onGivingUp(search, () -> search.setText(""));
        search.textProperty().addListener(o -> search());
        ChoiceField<BookModel.Order> order = new ChoiceField<>(
                "bookOrder",
                "sorted by",
                "Order of the runs.",
                BookModel.Order.values(),
                BookModel.Order::word,
                model::sort);
        order.show(BookModel.Order.NEWEST);
        count.setId("bookCount");
        problem.setId("searchProblem");
        Action older = new Action("bookDown", "Next", KeyCode.DOWN, () -> model.move(1));
        Action newer = new Action("bookUp", "Before", KeyCode.UP, () -> model.move(-1));
        Action other = new Action("bookOther", "Finished or lost", KeyCode.R, this::other);
        Action out = new Action("bookOut", "Remove it", KeyCode.DELETE, model::takeOut);
        Action photo = new Action("bookPhoto", "Photo", KeyCode.P, this::addPhoto);
        Action open = new Action("bookOpen", "Open a file", KeyCode.O, this::open);
        Action save = new Action("bookSave", "Save these", KeyCode.V, this::save);
        Follow.of(model.shown(), this::refresh, table);
        model.inHandProperty().addListener(o -> {
            select();
            boolean none = model.inHandProperty().get().isEmpty();
            List.of(other, out, photo).forEach(action -> action.button().setDisable(none));
        });
        List.of(other, out, photo).forEach(action -> action.button().setDisable(true));
        table.getSelectionModel().selectedItemProperty().addListener((o, before, now) -> {
            if (!showing && now != null) {
                model.take(now);
            }
        });
        say("");
        VBox main = Nodes.column(
                Nodes.flow(search, order.inARow(), count, open.button(), save.button()), problem, Nodes.grow(table));
        VBox side = Nodes.column(
                new RunDetail(model).panel(),
                Nodes.flow(newer.button(), older.button(), other.button(), out.button(), photo.button()));
        return new Pages.Page(
                new SideBySide(main, side, MAIN_SHARE, LEAST_EM),
                List.of(newer, older, other, out, photo, open, save),
                nowNs -> model.show());
    }

    private void search() {
        try {
            model.search(search.getText());
            say("");
        } catch (BadValueException refused) {
            say(Refusals.sentence(refused));
        }
    }

    private void say(String words) {
        problem.setText(words);
        Nodes.showIf(problem, !words.isEmpty());
    }

    private void other() {
        model.mend(outcome -> outcome.withCompleted(!outcome.completed()));
    }

    private void refresh() {
        model.shown().get().ifPresent(shown -> {
            showing = true;
            table.setItems(FXCollections.observableList(shown)); // not copied: there may be ten thousand
            count.setText(BookWords.count(shown.size(), runs.runs().size()));
            showing = false;
            select();
        });
    }

    private void select() {
        Optional<Run> run = model.inHandProperty().get();
        if (run.isPresent() && table.getSelectionModel().getSelectedItem() != run.get()) {
            showing = true;
            table.getSelectionModel().select(run.get());
            table.scrollTo(Math.max(0, table.getSelectionModel().getSelectedIndex() - 3));
            showing = false;
        }
    }

    private void addPhoto() {
        FileAsk.open(table, model::addPhoto, RunDetail.PHOTOS);
    }

    private void open() {
        FileAsk.open(table, model.files()::open, new ExtensionFilter("Runs (CSV, JSON)", "*.csv", "*.json"));
    }

    private void save() {
        FileAsk.save(
                table,
                "runs.csv",
                file -> model.shown().get().ifPresent(runs -> model.files().save(runs, file)),
                new ExtensionFilter("A table (CSV)", "*.csv"),
                new ExtensionFilter("Whole (JSON)", "*.json"));
    }
}
