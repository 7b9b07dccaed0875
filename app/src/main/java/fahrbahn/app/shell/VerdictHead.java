package fahrbahn.app.shell;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.season.Freshness;
import fahrbahn.app.season.Verdict;
import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The verdict of what is shown, whether it still stands, and the shortest repair when it does not. */
final class VerdictHead extends HBox {
    private final Label sentence = Nodes.label("", "verdict-sentence");
    private final Label freshness = Nodes.label("", "verdict-freshness");
    private final Region tone = new Region();
    private final Button repair = new Button();
    private final Consumer<Freshness.Repair> follow;

    /** @param follow goes where a repair is and does it */
    VerdictHead(Consumer<Freshness.Repair> follow) {
        this.follow = follow;
        sentence.setId("verdict");
        sentence.setWrapText(true);
        sentence.setMinHeight(USE_PREF_SIZE);
        freshness.setId("freshness");
        tone.getStyleClass().add("tone");
        repair.setId("repair");
        repair.getStyleClass().add("repair");
        repair.setMinWidth(USE_PREF_SIZE);
        repair.managedProperty().bind(repair.visibleProperty());
        getStyleClass().addAll("row", "verdict");
        VBox words = Nodes.column(sentence, freshness);
        HBox.setHgrow(words, Priority.ALWAYS);
        getChildren().addAll(tone, words, repair);
    }

    /** @param where the station, or what else is shown, to read before its freshness */
    void show(String where, Verdict verdict, Freshness fresh) {
        say(verdict, where + ": " + fresh.mark().word() + (fresh.reason().isEmpty() ? "" : ", " + fresh.reason()));
        repair.setVisible(fresh.repair().isPresent());
        fresh.repair().ifPresent(way -> {
            repair.setText("Shortest repair: " + way.words());
            repair.setOnAction(e -> follow.accept(way));
        });
    }

    /** A verdict that rests on nothing. @param below what stands beneath it */
    void show(Verdict verdict, String below) {
        say(verdict, below);
        repair.setVisible(false);
    }

    private void say(Verdict verdict, String below) {
        sentence.setText(verdict.sentence());
        freshness.setText(below);
        for (Verdict.Tone each : Verdict.Tone.values()) {
            PseudoClass state = PseudoClass.getPseudoClass(each.word().replace(' ', '-'));
            pseudoClassStateChanged(state, each == verdict.tone());
        }
        tone.setAccessibleText(verdict.tone().word());
    }
}
