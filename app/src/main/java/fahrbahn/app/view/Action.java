package fahrbahn.app.view;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;

/** Something to do here, by button or by key: both fire the same button, which carries its key as a cap. */
final class Action {
    private final KeyCode key;
    private final Button button;

    Action(String id, String words, KeyCode key, Runnable work) {
        this.key = key;
        Label cap = new Label(key == KeyCode.SPACE ? "Space" : key.getName());
        cap.getStyleClass().add("key-cap");
        button = new Button(words, cap);
        button.setId(id);
        button.setOnAction(e -> work.run());
    }

    Button button() {
        return button;
    }

    /** True when this key was meant for it. */
    boolean take(KeyCode pressed) {
        if (pressed != key || button.isDisabled()) {
            return false;
        }
        button.fire();
        return true;
    }
}
