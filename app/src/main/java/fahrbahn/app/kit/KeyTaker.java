package fahrbahn.app.kit;

import java.util.function.Predicate;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/**
 * Takes keys before anything else does. A key that was taken types nothing, not even into a field that it opened; held down it does its
 * work once, unless it is an arrow and moves something: a page turned at each repeat keeps a busy machine from all else. Nor does Enter
 * add what is typed in a field again and again.
 */
public final class KeyTaker {
    private final Predicate<KeyEvent> take;
    private boolean taken;
    private KeyCode held;

    private KeyTaker(Predicate<KeyEvent> take) {
        this.take = take;
    }

    /** @param take true when the key was meant for it */
    public static void install(Node node, Predicate<KeyEvent> take) {
        KeyTaker taker = new KeyTaker(take);
        node.addEventFilter(KeyEvent.KEY_PRESSED, taker::pressed);
        node.addEventFilter(KeyEvent.KEY_TYPED, event -> {
            if (taker.taken) {
                event.consume();
            }
        });
        node.addEventFilter(KeyEvent.KEY_RELEASED, event -> taker.held = null);
        // Let go over another window, a key is never heard to be let go.
        node.sceneProperty()
                .flatMap(scene -> scene.windowProperty())
                .flatMap(window -> window.focusedProperty())
                .addListener((o, before, focused) -> taker.held = null);
    }

    /** Whether letters are being written where the focus is: then they are no keys of the station. */
    public static boolean writesIn(Node focused) {
        return focused instanceof TextInputControl || focused instanceof ComboBox<?> choice && choice.isEditable();
    }

    private void pressed(KeyEvent event) {
        KeyCode key = event.getCode();
        boolean again = key == held && (key == KeyCode.ENTER || taken && !key.isArrowKey() && !event.isShortcutDown());
        held = key;
        taken = again || take.test(event);
        if (taken) {
            event.consume();
        }
    }
}
