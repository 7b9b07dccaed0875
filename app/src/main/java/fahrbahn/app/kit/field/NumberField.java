package fahrbahn.app.kit.field;

import fahrbahn.app.kit.Nodes;
import fahrbahn.core.check.BadValueException;
import fahrbahn.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleConsumer;
import java.util.function.DoubleFunction;
import javafx.css.PseudoClass;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;

/** A number to type. Enter or leaving the field sets it; what is refused stays in the field with the reason beneath it. */
public final class NumberField extends VBox {
    private static final PseudoClass WRONG = PseudoClass.getPseudoClass("wrong");
    private static final PseudoClass ASKED = PseudoClass.getPseudoClass("asked");

    /** Words beneath the field have room beside it. */
    private static final PseudoClass SPEAKS = PseudoClass.getPseudoClass("speaks");

    /** More digits than any ruler, stopwatch or program here has. */
    private static final int DIGITS = 6;

    private final TextField text = new TextField();
    private final Label problem = Nodes.label("", "problem");
    private final DoubleConsumer set;
    private double shown = Double.NaN;
    private boolean mayBeEmpty;
    private DoubleFunction<Optional<String>> question = value -> Optional.empty();

    /**
     * @param words the coach's word with its unit
     * @param standardTerm the field's term, for the tooltip
     * @param set takes the number; may refuse it with a {@link BadValueException}
     */
    public NumberField(String id, String words, String standardTerm, DoubleConsumer set) {
        this.set = set;
        Label label = Nodes.wrapped(words, "caption");
        label.setLabelFor(text);
        Nodes.hint(label, standardTerm);
        text.setId(id);
        text.setAccessibleText(words);
        setOnMouseClicked(e -> text.requestFocus()); // beside the field is meant for it
        Fields.describe(text, words, standardTerm);
        Fields.onGivingUp(text, this::giveUp);
        text.setOnAction(e -> {
            if (commit(true)) {
                Fields.next(text);
            }
        });
        text.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                commit(false);
            }
        });
        problem.setWrapText(true);
        problem.managedProperty().bind(problem.textProperty().isNotEmpty());
        problem.visibleProperty().bind(problem.managedProperty());
        getChildren().addAll(label, text, problem);
        getStyleClass().add("number-field");
    }

    /** What was refused stays until it is mended or given up, as long as the number it was to replace is the same. */
    public void show(double value) {
        boolean same = value == shown || Double.isNaN(value) && Double.isNaN(shown);
        if (refused() && same) {
            return;
        }
        shown = value;
        text.setText(words(value));
        refuse("");
    }

    /** Nothing stands where nothing is known. */
    private static String words(double value) {
        return Double.isNaN(value) ? "" : Words.number(value, DIGITS);
    }

    /** Nothing may stand in it: then it sets no number, NaN. */
    public NumberField orNothing() {
        mayBeEmpty = true;
        return this;
    }

    /** Asks about a number before it takes it. @param question empty where there is nothing to ask */
    public NumberField asks(DoubleFunction<Optional<String>> question) {
        this.question = question;
        return this;
    }

    /** @param entered by Enter, which keeps what was asked about @return false when it was refused */
    private boolean commit(boolean entered) {
        String typed = text.getText().strip();
        if (typed.equals(words(shown))) {
            refuse("");
            return true;
        }
        OptionalDouble number = typed.isEmpty() && mayBeEmpty ? OptionalDouble.of(Double.NaN) : Words.parse(typed);
        if (number.isEmpty()) {
            refuse("'" + typed + "' is not a number; type one like 12.5");
            return false;
        }
        double value = number.getAsDouble();
        Optional<String> asked = question.apply(value);
        boolean kept = entered
                && asked.filter(words -> words.equals(problem.getText())).isPresent();
        if (asked.isPresent() && !kept) {
            say(asked.get(), ASKED);
            return false;
        }
        try {
            set.accept(value);
            refuse("");
        } catch (BadValueException bad) {
            refuse("It is " + Words.exact(value) + "; it must be " + bad.rule());
        }
        return !refused();
    }

    private boolean refused() {
        return !problem.getText().isEmpty();
    }

    /** What was typed and not taken is forgotten: by Esc, or when another thing is shown from now on. */
    public void giveUp() {
        refuse("");
        text.setText(words(shown));
    }

    private void refuse(String why) {
        say(why, WRONG);
    }

    private void say(String words, PseudoClass as) {
        problem.setText(words);
        for (PseudoClass state : List.of(WRONG, ASKED)) {
            boolean on = !words.isEmpty() && state == as;
            text.pseudoClassStateChanged(state, on);
            problem.pseudoClassStateChanged(state, on);
        }
        pseudoClassStateChanged(SPEAKS, !words.isEmpty());
    }
}
