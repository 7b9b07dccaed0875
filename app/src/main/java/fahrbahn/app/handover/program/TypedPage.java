package fahrbahn.app.handover.program;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.field.Fields;
import fahrbahn.core.program.TypedBack.Handed;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.css.PseudoClass;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** Numbers read off the robot's own display, typed one after the other; Enter goes to the next. */
public final class TypedPage {
    private static final PseudoClass WRONG = PseudoClass.getPseudoClass("wrong");
    private static final int COLUMNS = 8;

    private final TypedModel model;
    private final GridPane rows = new GridPane();
    private final Label state = Nodes.wrapped("", "bench-result");
    private final Map<String, TextField> fields = new HashMap<>();
    private final Map<String, Label> said = new HashMap<>();
    private List<Handed> shown = List.of();

    public TypedPage(TypedModel model) {
        this.model = model;
        rows.setId("typedBack");
        rows.getStyleClass().add("schools");
        state.setId("typedState");
    }

    public Pages.Page page() {
        Action clear = new Action("typedClear", "Clear", KeyCode.R, this::clear);
        model.checkedProperty().addListener(o -> refresh());
        refresh();
        VBox page = Nodes.column(Nodes.panel(
                "Type the numbers you read in the robot's program",
                Nodes.row(Nodes.grow(state), clear.button()),
                rows));
        return new Pages.Page(page, List.of(clear));
    }

    private void clear() {
        fields.values().forEach(field -> field.setText(""));
        model.clear();
    }

    private void refresh() {
        TypedModel.Checked checked = model.checkedProperty().get();
        if (!checked.wanted().equals(shown)) {
            shown = checked.wanted();
            build();
        }
        state.setText(
                checked.problem().isEmpty()
                        ? ProgramWords.typed(
                                checked.slips(),
                                checked.typed(),
                                checked.wanted().size())
                        : checked.problem());
        for (Handed one : shown) {
            String slip = checked.slip(one.name()).map(ProgramWords::slip).orElse("");
            boolean right = slip.isEmpty()
                    && checked.problem().isEmpty()
                    && !model.typed(one.name()).isBlank();
            said.get(one.name()).setText(right ? "right" : slip);
            TextField field = fields.get(one.name());
            field.pseudoClassStateChanged(WRONG, !slip.isEmpty());
            if (!field.getText().equals(model.typed(one.name()))) {
                field.setText(model.typed(one.name())); // another robot with the same numbers
            }
        }
    }

    private void build() {
        rows.getChildren().clear();
        fields.clear();
        said.clear();
        for (int i = 0; i < shown.size(); i++) {
            String name = shown.get(i).name();
            TextField field = new TextField(model.typed(name));
            field.setId("typed-" + name.toLowerCase(Locale.ROOT).replace('_', '-'));
            field.setPrefColumnCount(COLUMNS);
            field.setAccessibleText(name);
            Fields.describe(field, name, "Number on the robot for " + name + ", as its display shows it.");
            field.textProperty().addListener(o -> model.type(name, field.getText()));
            field.setOnAction(e -> Fields.next(field));
            Label words = Nodes.wrapped("", "reason");
            words.setId(field.getId() + "-said");
            fields.put(name, field);
            said.put(name, words);
            rows.addRow(i, Nodes.cell(name, "reason"), field, words);
        }
    }
}
