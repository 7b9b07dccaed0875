package fahrbahn.app.kit.field;

import fahrbahn.app.kit.Nodes;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.difference.SetupField;
import fahrbahn.core.setup.Setup;
import fahrbahn.words.Refusals;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.IntFunction;
import java.util.function.ToDoubleFunction;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Fields that show and change numbers and choices of the setup. */
public final class SetupFields {
    /** Whose setup it is. */
    public interface Source {
        Setup shown();

        /** Changes it; what is refused passes through, to the field it was typed into. */
        void type(UnaryOperator<Setup> change);

        /** Puts words on the notice line. */
        void tell(String words);

        /** Changes it; what is refused is told. @return false when refused */
        default boolean change(UnaryOperator<Setup> change) {
            try {
                type(change);
                return true;
            } catch (BadValueException refused) {
                tell(Refusals.sentence(refused));
                return false;
            }
        }
    }

    private final Source model;
    private final List<Runnable> refreshers = new ArrayList<>();

    public SetupFields(Source model) {
        this.model = model;
    }

    /** No longer refreshes what it made so far: others take its place. */
    public void forget() {
        refreshers.clear();
    }

    public void refresh() {
        refreshers.forEach(Runnable::run);
    }

    /** @param term what it is, for the list of keys and fields */
    public NumberField number(SetupField of, String id, String term) {
        return number(id, of.typedWord(), term, of::typed, of::withTyped);
    }

    public NumberField number(
            String id, String words, String term, ToDoubleFunction<Setup> get, BiFunction<Setup, Double, Setup> with) {
        NumberField field = new NumberField(id, words, term, v -> model.type(setup -> with.apply(setup, v)));
        refreshers.add(() -> field.show(get.applyAsDouble(model.shown())));
        return field;
    }

    /** The same where nothing, NaN, may stand. */
    public Node numberOrNothing(
            String id, String words, String term, ToDoubleFunction<Setup> get, BiFunction<Setup, Double, Setup> with) {
        NumberField field =
                new NumberField(id, words, term, v -> model.type(setup -> with.apply(setup, v))).orNothing();
        refreshers.add(() -> field.show(get.applyAsDouble(model.shown())));
        return field;
    }

    public <E> Node choice(
            String id,
            String words,
            String term,
            E[] values,
            Function<E, String> word,
            Function<Setup, E> get,
            BiFunction<Setup, E, Setup> with) {
        ChoiceField<E> field = new ChoiceField<>(id, words, term, values, word, chosen -> {
            if (!model.change(setup -> with.apply(setup, chosen))) {
                refresh();
            }
        });
        refreshers.add(() -> field.show(get.apply(model.shown())));
        return field;
    }

    /** The same where the values to choose from are those of the setup. */
    public <E> Node choiceOf(
            String id,
            String words,
            String term,
            Function<Setup, List<E>> values,
            IntFunction<E[]> array,
            Function<E, String> word,
            Function<Setup, E> get,
            BiFunction<Setup, E, Setup> with) {
        ChoiceField<E> field = new ChoiceField<>(id, words, term, array.apply(0), word, chosen -> {
            if (!model.change(setup -> with.apply(setup, chosen))) {
                refresh();
            }
        });
        refreshers.add(() -> field.offer(values.apply(model.shown()), get.apply(model.shown())));
        return field;
    }

    public static VBox group(String title, Node... fields) {
        FlowPane flow = new FlowPane(fields);
        flow.getStyleClass().add("fields");
        return Nodes.panel(title, flow);
    }
}
