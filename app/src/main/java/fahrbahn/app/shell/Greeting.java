package fahrbahn.app.shell;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.start.Remembered;
import fahrbahn.app.start.Remembered.What;
import java.util.List;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;

/** A first visit to the demo: three things to try, each a minute long, that end in a number. Put away for good by one key. */
final class Greeting extends VBox {
    private static final List<String[]> TRY = List.of(
            new String[] {
                "3  L  D",
                "Capture light and dark with the simulated robot (place it on light, then dark, in the strip below); then 4 for its threshold."
            },
            new String[] {
                "5", "The lane: the gains that neither wiggle nor leave the bend, and the gains to start with."
            },
            new String[] {"6  M", "Simulate 200 runs on the table: its chance to finish."});

    private final Remembered remembered;
    private final Action away = new Action("greetingAway", "Do not show again", KeyCode.F8, this::putAway);

    Greeting(Remembered remembered) {
        this.remembered = remembered;
        setId("greeting");
        getStyleClass().addAll("panel", "greeting");
        away.button().getStyleClass().add("small");
        getChildren()
                .add(Nodes.row(
                        Nodes.grow(Nodes.wrapped("Three things to try, a minute each", "strong")), away.button()));
        for (String[] one : TRY) {
            getChildren().add(Nodes.row(Nodes.cell(one[0], "key-cap"), Nodes.grow(Nodes.wrapped(one[1], "reason"))));
        }
        managedProperty().bind(visibleProperty());
        setVisible(false);
    }

    /** Unless it has been put away before. */
    void greet() {
        setVisible(!remembered.is(What.GREETED));
    }

    boolean take(KeyCode code) {
        return isVisible() && away.take(code);
    }

    private void putAway() {
        remembered.set(What.GREETED, true);
        setVisible(false);
    }
}
