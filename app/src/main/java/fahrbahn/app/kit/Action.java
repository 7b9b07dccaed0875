package fahrbahn.app.kit;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;

/** Something to do here, by button or by key: both fire the same button, which carries its key as a cap. */
public final class Action {
    private final KeyCode key;
    private final Button button;
    private boolean alwaysThere;

    public Action(String id, String words, KeyCode key, Runnable work) {
        this.key = key;
        Label cap = new Label(name(key));
        cap.getStyleClass().add("key-cap");
        button = new Button(words, cap);
        button.setId(id);
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setOnAction(e -> work.run());
    }

    private static String name(KeyCode key) {
        return switch (key) {
            case SPACE -> "Space";
            case DELETE -> "Del";
            default -> key.getName();
        };
    }

    public Button button() {
        return button;
    }

    /** Its key works although its button is not on the screen. */
    public void alwaysThere() {
        alwaysThere = true;
    }

    /** True when this key was meant for it: its button is there to be pressed. */
    public boolean take(KeyCode pressed) {
        boolean there = alwaysThere || button.getScene() != null && button.isVisible();
        if (pressed != key || button.isDisabled() || !there) {
            return false;
        }
        button.fire();
        return true;
    }
}
