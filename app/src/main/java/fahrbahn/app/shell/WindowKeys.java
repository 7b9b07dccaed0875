package fahrbahn.app.shell;

import fahrbahn.app.freshness.Station;
import fahrbahn.app.kit.Digits;
import fahrbahn.app.kit.KeyTaker;
import fahrbahn.app.kit.field.Fields;
import fahrbahn.app.season.Sort;
import java.util.Map;
import java.util.Optional;
import java.util.function.LongSupplier;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;

/** The keys of the window: those of the frame work everywhere, the others are those of what is shown. */
final class WindowKeys {
    private final MainWindow window;
    private final Workshop workshop;
    private final Digits digits;
    private Optional<Station> cameFrom = Optional.empty();
    private boolean beside;

    private WindowKeys(MainWindow window, Workshop workshop, LongSupplier nanoClock) {
        this.window = window;
        this.workshop = workshop;
        digits = new Digits(nanoClock);
    }

    static WindowKeys install(MainWindow window, Workshop workshop, LongSupplier nanoClock) {
        WindowKeys keys = new WindowKeys(window, workshop, nanoClock);
        KeyTaker.install(window, keys::key);
        window.addEventFilter(MouseEvent.MOUSE_PRESSED, event -> keys.digits.over());
        window.addEventFilter(KeyEvent.KEY_TYPED, event -> {
            if (event.getCharacter().equals("?") && !KeyTaker.writesIn(keys.focused())) {
                window.showKeys();
                event.consume();
            }
        });
        return keys;
    }

    private Node focused() {
        return window.getScene().getFocusOwner();
    }

    private boolean key(KeyEvent event) {
        if (!event.getCode().isDigitKey()) {
            digits.over();
        }
        if (event.isShortcutDown()) {
            return shortcut(event);
        }
        if (KeyTaker.writesIn(focused())) {
            boolean away = event.getCode() == KeyCode.ESCAPE;
            if (away) {
                Fields.giveUp(focused());
                window.requestFocus();
            }
            return away || framed(event.getCode());
        }
        return framed(event.getCode()) || take(event.getCode());
    }

    private boolean shortcut(KeyEvent event) {
        switch (event.getCode()) {
            case S -> window.foot().saveAs();
            case Z -> {
                if (event.isShiftDown()) {
                    workshop.redo();
                } else {
                    workshop.undo();
                }
            }
            default -> {
                return false;
            }
        }
        return true;
    }

    /** Keys of the frame that are no letters and no digits: they work in fields as well. */
    private boolean framed(KeyCode code) {
        switch (code) {
            case F1 -> window.showKeys();
            case F5 -> {
                return Fields.first(window.shown().content());
            }
            case F6 -> window.foot().showNotices();
            case F7 -> window.strip().toFirst();
            case ESCAPE -> {
                workshop.notices().over();
                window.leaveKeys();
                window.requestFocus();
            }
            default -> {
                return window.greeting().take(code);
            }
        }
        return true;
    }

    /** Keys that letters and digits are, as long as nothing is written. */
    boolean take(KeyCode code) {
        for (Map.Entry<Sort, String> key : HandHead.KEYS.entrySet()) {
            if (code.getName().equals(key.getValue())) {
                workshop.club().takeNext(key.getKey());
                return true;
            }
        }
        if (code.isDigitKey()) {
            return digit(code.ordinal() - KeyCode.DIGIT0.ordinal());
        }
        if (code == KeyCode.N) {
            window.goOn();
            return true;
        }
        return window.shown().take().test(code);
    }

    /**
     * A digit goes to a station. Two at once, typed where something of the page has the focus, or three anywhere are a number that was meant
     * for a field, and go nowhere.
     */
    private boolean digit(int number) {
        int inARow = digits.next();
        if (inARow == 1) {
            beside = focused() != window;
            cameFrom = window.station();
        }
        int enough = beside ? 2 : 3;
        if (inARow == enough) {
            if (!window.station().equals(cameFrom)) {
                cameFrom.ifPresentOrElse(window::go, window::openClub);
            }
            workshop.tell("No field selected. Press F5, then type.");
        }
        if (inARow >= enough) {
            return true;
        }
        if (number == 0) {
            window.openClub();
            return true;
        }
        if (number <= Station.values().length) {
            window.go(Station.values()[number - 1]);
            return true;
        }
        return false;
    }
}
