package fahrbahn.app.kit;

import fahrbahn.words.Words;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** The watch as it runs, and its two keys. */
public final class StopwatchBar extends VBox {
    private final Stopwatch watch;
    private final Label seconds = Nodes.label("", "figure");
    private final Label words = Nodes.label("", "reason");
    private final Action tap;
    private final Action back;

    /** @param more buttons that have to do with it, beside its own */
    public StopwatchBar(Stopwatch watch, Button... more) {
        this.watch = watch;
        tap = new Action("watchTap", "Tap", KeyCode.SPACE, watch::tap);
        back = new Action("watchBack", "Take the last tap back", KeyCode.B, watch::takeBack);
        getStyleClass().add("column");
        seconds.setId("watchSeconds");
        seconds.setMinWidth(96);
        words.setId("watchWords");
        words.setWrapText(true);
        words.setMinHeight(USE_PREF_SIZE);
        FlowPane keys = Nodes.flow(tap.button(), seconds, back.button());
        keys.getChildren().addAll(more);
        getChildren().addAll(keys, words);
        watch.tapsProperty().addListener(o -> refresh());
        watch.countingProperty().addListener(o -> refresh());
        refresh();
    }

    /** Tap, and take back. */
    public List<Action> actions() {
        return List.of(tap, back);
    }

    /** Shows the time going by. */
    public void frame() {
        if (watch.running()) {
            show(watch.elapsedS());
        }
    }

    private void show(double elapsedS) {
        seconds.setText(Words.seconds(elapsedS));
    }

    private void refresh() {
        show(watch.running() ? watch.elapsedS() : watch.tapsProperty().get().totalS());
        words.setText(StopwatchWords.of(
                watch.tapsProperty().get(), watch.countingProperty().get()));
        back.button().setDisable(watch.tapsProperty().get().atS().isEmpty());
    }
}
