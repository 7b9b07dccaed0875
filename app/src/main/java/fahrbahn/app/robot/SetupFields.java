package fahrbahn.app.robot;

import fahrbahn.app.kit.ChoiceField;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.NumberField;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import javafx.scene.Node;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Fields that show and change numbers and choices of the setup. */
final class SetupFields {
    private final RobotModel model;
    private final List<Runnable> refreshers = new ArrayList<>();

    SetupFields(RobotModel model) {
        this.model = model;
    }

    void refresh() {
        refreshers.forEach(Runnable::run);
    }

    Node number(
            String id, String words, String term, ToDoubleFunction<Setup> get, BiFunction<Setup, Double, Setup> with) {
        NumberField field = new NumberField(id, words, term, v -> model.type(setup -> with.apply(setup, v)));
        refreshers.add(() -> field.show(get.applyAsDouble(model.shownProperty().get())));
        return field;
    }

    <E> Node choice(
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
        refreshers.add(() -> field.show(get.apply(model.shownProperty().get())));
        return field;
    }

    static VBox group(String title, Node... fields) {
        FlowPane flow = new FlowPane(fields);
        flow.getStyleClass().add("fields");
        return Nodes.panel(title, flow);
    }
}
