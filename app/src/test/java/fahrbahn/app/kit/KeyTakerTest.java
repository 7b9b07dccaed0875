package fahrbahn.app.kit;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.Hands;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.StackPane;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A key that is held down: the same press comes again and again, and no release. */
class KeyTakerTest {
    private static final Set<KeyCode> TAKEN = Set.of(KeyCode.PAGE_DOWN, KeyCode.LEFT);

    private final StackPane pane = new StackPane();
    private final List<KeyCode> worked = new ArrayList<>();
    private final List<KeyCode> through = new ArrayList<>();

    @BeforeEach
    void takeKeys() {
        KeyTaker.install(pane, event -> {
            boolean taken = TAKEN.contains(event.getCode());
            if (taken) {
                worked.add(event.getCode());
            }
            return taken;
        });
        Node field = new StackPane();
        pane.getChildren().add(field);
        pane.addEventHandler(KeyEvent.KEY_PRESSED, event -> through.add(event.getCode()));
    }

    private void press(KeyCode key, int times) {
        for (int i = 0; i < times; i++) {
            Event.fireEvent(pane.getChildren().get(0), Hands.event(KeyEvent.KEY_PRESSED, "", key));
        }
    }

    private void release(KeyCode key) {
        Event.fireEvent(pane.getChildren().get(0), Hands.event(KeyEvent.KEY_RELEASED, "", key));
    }

    @Test
    void aPageTurnsOnce() {
        press(KeyCode.PAGE_DOWN, 5);
        release(KeyCode.PAGE_DOWN);
        press(KeyCode.PAGE_DOWN, 1);
        assertThat(worked).containsExactly(KeyCode.PAGE_DOWN, KeyCode.PAGE_DOWN);
        assertThat(through).isEmpty();
    }

    @Test
    void anArrowGoesOn() {
        press(KeyCode.LEFT, 3);
        assertThat(worked).hasSize(3);
    }

    /** What is typed in a field is added once, however long Enter is held; the next Enter adds again. */
    @Test
    void enterThatNothingTakesReachesItsFieldOnce() {
        press(KeyCode.ENTER, 5);
        release(KeyCode.ENTER);
        press(KeyCode.ENTER, 1);
        assertThat(through).containsExactly(KeyCode.ENTER, KeyCode.ENTER);
    }

    /** Letters of a word that repeat are typed. */
    @Test
    void lettersRepeat() {
        press(KeyCode.O, 2);
        assertThat(through).hasSize(2);
    }
}
