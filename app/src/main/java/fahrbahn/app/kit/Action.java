package fahrbahn.app.kit;

import java.util.List;
import java.util.Locale;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
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
            case COMMA -> ",";
            case PERIOD -> ".";
            case BACK_SPACE -> "Back";
            default -> key.getName();
        };
    }

    /** As it stands on the key. */
    public String keyName() {
        return name(key);
    }

    public Button button() {
        return button;
    }

    /** Its key works although its button is not on the screen. */
    public void alwaysThere() {
        alwaysThere = true;
    }

    /** Numbers have no letters, and blanks only where several are typed: in a field for them these actions' keys work as beside it. */
    public static void alsoIn(TextField field, List<Action> actions) {
        field.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            boolean plain = !event.isControlDown() && !event.isAltDown() && !event.isMetaDown();
            if (plain && actions.stream().anyMatch(a -> a.take(event.getCode()))) {
                event.consume();
            }
        });
        field.addEventFilter(KeyEvent.KEY_TYPED, event -> {
            String typed = event.getCharacter().toUpperCase(Locale.ROOT);
            boolean key = actions.stream().anyMatch(a -> typed.equals(a.key == KeyCode.SPACE ? " " : a.key.getChar()));
            if (key) {
                event.consume();
            }
        });
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
