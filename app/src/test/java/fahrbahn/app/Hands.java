package fahrbahn.app;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.Predicate;
import javafx.application.Platform;
import javafx.beans.InvalidationListener;
import javafx.event.Event;
import javafx.event.EventHandler;
import javafx.event.EventTarget;
import javafx.event.EventType;
import javafx.geometry.Point2D;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
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
    /**
     * Down and up at once: a key that stays down until a busy window has seen it repeats itself meanwhile, on displays that do so. A server
     * that was told not to may take it up again.
     */
    @Override
    public FxRobot type(KeyCode... keys) {
        for (KeyCode key : keys) {
            Runnable stroke = () -> OnWindow.run(() -> {
                Robot robot = new Robot();
                robot.keyPress(key);
                robot.keyRelease(key);
            });
            seen(KeyEvent.KEY_RELEASED, event -> event.getCode() == key, stroke, "the key " + key);
        }
        return this;
    }

    @Override
    public FxRobot press(KeyCode... keys) {
        for (KeyCode key : keys) {
            seen(
                    KeyEvent.KEY_PRESSED,
                    event -> event.getCode() == key,
                    () -> OnWindow.run(() -> new Robot().keyPress(key)),
                    "the key " + key);
        }
        return this;
    }

    @Override
    public FxRobot release(KeyCode... keys) {
        for (KeyCode key : keys) {
            seen(
                    KeyEvent.KEY_RELEASED,
                    event -> event.getCode() == key,
                    () -> OnWindow.run(() -> new Robot().keyRelease(key)),
                    "the key " + key);
        }
        return this;
    }

    /**
     * Presses on a place, moves there in two steps and lets go; ends when the window has seen the button let go, and with it every move before:
     * a busy display hands them on long after they were made.
     */
    public void dragBy(Point2D from, double dx, double dy) {
        moveTo(from).press(MouseButton.PRIMARY).moveBy(dx / 2, dy / 2).moveBy(dx / 2, dy / 2);
        seen(MouseEvent.MOUSE_RELEASED, any -> true, () -> release(MouseButton.PRIMARY), "the button let go");
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

    /** @param stroke what is done with the keys or the mouse, from the test's thread */
    private <E extends Event> void seen(EventType<E> type, Predicate<E> meant, Runnable stroke, String what) {
        CountDownLatch seen = new CountDownLatch(1);
        EventHandler<E> watch = event -> {
            if (meant.test(event)) {
                seen.countDown();
            }
        };
        // A window that has closed, or asks something in another, never sees the key let go.
        InvalidationListener left = lost -> seen.countDown();
        Window window = OnWindow.call(() -> {
            Window focused = focused();
            focused.addEventFilter(type, watch);
            focused.focusedProperty().addListener(left);
            return focused;
        });
        stroke.run();
        try {
            if (!seen.await(OnWindow.PATIENCE_S, TimeUnit.SECONDS)) {
                throw new AssertionError("no window ever saw " + what);
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
        // After the event itself, what it asked to be done later.
        OnWindow.run(() -> {
            window.removeEventFilter(type, watch);
            window.focusedProperty().removeListener(left);
        });
    }

    private Window focused() {
        return listWindows().stream()
                .filter(w -> w instanceof Stage && w.isFocused())
                .findFirst()
                .orElseThrow(() -> new AssertionError("no window has the focus"));
    }
}
