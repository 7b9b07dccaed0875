package fahrbahn.app;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.event.EventHandler;
import javafx.event.EventTarget;
import javafx.event.EventType;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;
import javafx.stage.Window;
import org.testfx.api.FxRobot;
import org.testfx.service.query.NodeQuery;

/**
 * TestFX's hands with quicker fingers: a key goes through the display as it would from a keyboard, and the next waits until the window has
 * seen it, instead of for a tenth of a second.
 */
public final class Hands extends FxRobot {
    @Override
    public FxRobot type(KeyCode... keys) {
        for (KeyCode key : keys) {
            press(key);
            release(key);
        }
        return this;
    }

    @Override
    public FxRobot press(KeyCode... keys) {
        for (KeyCode key : keys) {
            seen(KeyEvent.KEY_PRESSED, key, robot -> robot.keyPress(key));
        }
        return this;
    }

    @Override
    public FxRobot release(KeyCode... keys) {
        for (KeyCode key : keys) {
            seen(KeyEvent.KEY_RELEASED, key, robot -> robot.keyRelease(key));
        }
        return this;
    }

    @Override
    public FxRobot write(String text) {
        for (char letter : text.toCharArray()) {
            OnWindow.run(() -> {
                Scene scene = focused().getScene();
                EventTarget target = scene.getFocusOwner() == null ? scene : scene.getFocusOwner();
                KeyCode named = KeyCode.getKeyCode(String.valueOf(Character.toUpperCase(letter)));
                KeyCode key = named == null ? KeyCode.UNDEFINED : named;
                Event.fireEvent(target, event(KeyEvent.KEY_PRESSED, "", key));
                Event.fireEvent(target, event(KeyEvent.KEY_TYPED, String.valueOf(letter), KeyCode.UNDEFINED));
                Event.fireEvent(target, event(KeyEvent.KEY_RELEASED, "", key));
            });
        }
        return this;
    }

    public static KeyEvent event(EventType<KeyEvent> type, String letter, KeyCode key) {
        return new KeyEvent(type, letter, "", key, false, false, false, false);
    }

    /** On the window's thread: from any other, what is looked through would change meanwhile. */
    @Override
    public NodeQuery lookup(String query) {
        return Platform.isFxApplicationThread() ? super.lookup(query) : OnWindow.call(() -> super.lookup(query));
    }

    private interface Stroke {
        void with(Robot robot);
    }

    private void seen(EventType<KeyEvent> type, KeyCode key, Stroke stroke) {
        CountDownLatch seen = new CountDownLatch(1);
        EventHandler<KeyEvent> watch = event -> {
            if (event.getCode() == key) {
                seen.countDown();
            }
        };
        Window window = OnWindow.call(() -> {
            Window focused = focused();
            focused.addEventFilter(type, watch);
            stroke.with(new Robot());
            return focused;
        });
        try {
            if (!seen.await(OnWindow.PATIENCE_S, TimeUnit.SECONDS)) {
                throw new AssertionError("no window ever saw the key " + key);
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
        // After the event itself, what it asked to be done later.
        OnWindow.run(() -> window.removeEventFilter(type, watch));
    }

    private Window focused() {
        return listWindows().stream()
                .filter(w -> w instanceof Stage && w.isFocused())
                .findFirst()
                .orElseThrow(() -> new AssertionError("no window has the focus"));
    }
}
