package fahrbahn.app.kit;

import fahrbahn.app.words.Words;
import fahrbahn.core.check.BadValueException;
import java.util.OptionalDouble;
import java.util.function.DoubleConsumer;
import javafx.css.PseudoClass;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.VBox;

/** A number to type. Enter or leaving the field sets it; what is refused stays in the field with the reason beneath it. */
public final class NumberField extends VBox {
    private static final PseudoClass WRONG = PseudoClass.getPseudoClass("wrong");

    private final TextField text = new TextField();
    private final Label problem = Nodes.label("", "problem");
    private final DoubleConsumer set;
    private double shown = Double.NaN;

    /**
     * @param words the coach's word with its unit
     * @param standardTerm the field's term, for the tooltip
     * @param set takes the number; may refuse it with a {@link BadValueException}
     */
    public NumberField(String id, String words, String standardTerm, DoubleConsumer set) {
        this.set = set;
        Label label = Nodes.label(words, "caption");
        label.setLabelFor(text);
        label.setTooltip(new Tooltip(standardTerm));
        text.setId(id);
        text.setAccessibleText(words);
        text.setOnAction(e -> commit());
        text.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                commit();
            }
        });
        problem.setWrapText(true);
        problem.managedProperty().bind(problem.textProperty().isNotEmpty());
        problem.visibleProperty().bind(problem.managedProperty());
        getChildren().addAll(label, text, problem);
        getStyleClass().add("number-field");
    }

    public void show(double value) {
        shown = value;
        text.setText(words(value));
        refuse("");
    }

    /** Nothing stands where nothing is known. */
    private static String words(double value) {
        return Double.isNaN(value) ? "" : Words.exact(value);
    }

    private void commit() {
        String typed = text.getText().strip();
        if (typed.equals(words(shown))) {
            refuse("");
            return;
        }
        OptionalDouble number = Words.parse(typed);
        if (number.isEmpty()) {
            refuse("'" + typed + "' is not a number; type one like 12.5");
            return;
        }
        double value = number.getAsDouble();
        try {
            set.accept(value);
            refuse("");
        } catch (BadValueException bad) {
            refuse("It is " + Words.exact(value) + "; it must be " + bad.rule());
        }
    }

    private void refuse(String why) {
        problem.setText(why);
        text.pseudoClassStateChanged(WRONG, !why.isEmpty());
    }
}
