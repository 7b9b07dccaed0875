package fahrbahn.app.kit;

import java.util.function.Predicate;
import javafx.scene.Node;
import javafx.scene.input.KeyEvent;

/** Takes keys before anything else does. A key that was taken types nothing, not even into a field that it opened. */
public final class KeyTaker {
    private boolean taken;

    private KeyTaker() {}

    /** @param take true when the key was meant for it */
    public static void install(Node node, Predicate<KeyEvent> take) {
        KeyTaker taker = new KeyTaker();
        node.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            taker.taken = take.test(event);
            if (taker.taken) {
                event.consume();
            }
        });
        node.addEventFilter(KeyEvent.KEY_TYPED, event -> {
            if (taker.taken) {
                event.consume();
            }
        });
    }
}
