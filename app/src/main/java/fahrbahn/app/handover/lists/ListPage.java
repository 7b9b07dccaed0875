package fahrbahn.app.handover.lists;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.FileAsk;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.SideBySide;
import fahrbahn.app.kit.field.Fields;
import fahrbahn.core.hall.Checklist;
import fahrbahn.core.hall.Checklist.Item;
import java.util.List;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser.ExtensionFilter;

/** A list to tick off by thumb, the next thing marked, what was forgotten before first. */
public final class ListPage {
    private static final PseudoClass SAID = PseudoClass.getPseudoClass("said");
    private static final double MAIN_SHARE = 0.6;
    private static final double LEAST_EM = 62;
    private static final String DONE = "done:  ";

    private final ListModel model;
    private final Label title = Nodes.wrapped("", "hall-now");
    private final Label state = Nodes.wrapped("", "reason");
    private final Label caution = Nodes.wrapped("", "caution");
    private final VBox rows = Nodes.column();
    private final VBox stale = Nodes.column();
    private final VBox season = Nodes.column();
    private final TextField words = new TextField();
    private List<String> shown;
    private int shownRow = -1;

    public ListPage(ListModel model) {
        this.model = model;
        title.setId("listTitle");
        state.setId("listState");
        rows.setId("listRows");
        stale.setId("listStale");
        season.setId("listSeason");
    }

    public Pages.Page page() {
        Action next = new Action("listNext", "Next list", KeyCode.G, () -> model.turn(1));
        Action up = new Action("listUp", "Before", KeyCode.UP, () -> model.move(-1));
        Action down = new Action("listDown", "Next", KeyCode.DOWN, () -> model.move(1));
        Action tick = new Action("listTick", "Done", KeyCode.SPACE, model::tick);
        Action forgot = new Action("listForgot", "Forgot it", KeyCode.O, model::forgot);
        Action add = new Action("listAdd", "Add", KeyCode.A, () -> Nodes.writeIn(words));
        Action remove = new Action("listRemove", "Delete", KeyCode.DELETE, model::remove);
        Action anew = new Action("listAnew", "Clear ticks", KeyCode.R, model::anew);
        Action print = new Action("listPrint", "Print", KeyCode.V, this::print);
        words.setId("listWords");
        words.setPromptText("one more thing, then Enter");
        words.setPrefColumnCount(16);
        words.setAccessibleText("one more thing");
        Fields.describe(words, "one more thing", "Another item; Enter adds it to this list.");
        words.setOnAction(e -> {
            model.add(words.getText());
            words.clear();
            rows.getScene().getRoot().requestFocus();
        });
        VBox main = Nodes.column(title, state, Nodes.panel("Space ticks", rows), caution);
        VBox side = Nodes.column(
                Nodes.panel(
                        "This list",
                        Nodes.flow(
                                next.button(),
                                up.button(),
                                down.button(),
                                tick.button(),
                                forgot.button(),
                                remove.button(),
                                anew.button(),
                                print.button()),
                        Nodes.flow(add.button(), words)),
                Nodes.panel("Out of date now", stale),
                Nodes.panel("Went out of date this season", season));
        return new Pages.Page(
                new SideBySide(main, side, MAIN_SHARE, LEAST_EM),
                List.of(next, up, down, tick, forgot, add, remove, anew, print),
                nowNs -> refresh());
    }

    private void refresh() {
        Checklist now = model.list();
        int row = model.rowProperty().get();
        title.setText("List for " + ListWords.title(model.occasionProperty().get()));
        state.setText(ListWords.state(now));
        caution.setText(ListWords.caution(model.occasionProperty().get()));
        show(stale, model.stale(), "Nothing: all stations are up to date.");
        show(season, model.staleThisSeason(), "Nothing in the log book.");
        List<String> lines = now.items().stream().map(this::line).toList();
        if (lines.equals(shown) && row == shownRow) {
            return;
        }
        shown = lines;
        shownRow = row;
        rows.getChildren().clear();
        for (int i = 0; i < lines.size(); i++) {
            rows.getChildren().add(row(lines.get(i), now.items().get(i).done(), i == row));
        }
    }

    private String line(Item item) {
        String learned = ListWords.learned(item, model.stale(item.words()));
        return (item.done() ? DONE : "") + item.words() + (learned.isEmpty() ? "" : " (" + learned + ")");
    }

    private static void show(VBox column, List<String> lines, String none) {
        List<String> now = lines.isEmpty() ? List.of(none) : lines;
        if (!now.equals(column.getUserData())) {
            column.setUserData(now);
            column.getChildren()
                    .setAll(now.stream()
                            .map(line -> Nodes.wrapped(line, "reason"))
                            .toList());
        }
    }

    private static Button row(String line, boolean done, boolean here) {
        Button row = new Button(line);
        row.setWrapText(true);
        row.setMaxWidth(Double.MAX_VALUE);
        row.setMinHeight(VBox.USE_PREF_SIZE);
        row.setAlignment(Pos.CENTER_LEFT);
        row.setFocusTraversable(false);
        row.setDisable(done);
        row.pseudoClassStateChanged(SAID, here);
        return row;
    }

    private void print() {
        FileAsk.save(rows, "list.pdf", model::print, new ExtensionFilter("To print (PDF)", "*.pdf"));
    }
}
