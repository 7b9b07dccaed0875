package fahrbahn.app.shell;

import fahrbahn.app.chart.TextFont;
import fahrbahn.app.freshness.Freshness;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.season.Verdict;
import java.util.function.Consumer;
import javafx.beans.binding.Bindings;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The verdict of what is shown, whether it still stands, and the shortest repair when it does not. */
final class VerdictHead extends HBox {
    private static final double ROOM_EM = 7.3;

    private final Label sentence = Nodes.label("", "verdict-sentence");
    private final Label freshness = Nodes.label("", "verdict-freshness");
    private final Label working = Nodes.label("working", "caption");
    private final Region tone = new Region();
    private final Button repair = new Button();
    private final Consumer<Freshness.Repair> follow;
    private double keptPx;

    /** @param follow goes where a repair is and does it @param busy while something shown is not of the newest numbers */
    VerdictHead(Consumer<Freshness.Repair> follow, ReadOnlyBooleanProperty busy) {
        this.follow = follow;
        working.setId("working");
        working.opacityProperty()
                .bind(Bindings.when(busy).then(1.0).otherwise(0.0)); // its place stays: nothing moves for it
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
        freshness.setWrapText(true);
        freshness.setMinHeight(USE_PREF_SIZE);
        working.setMinWidth(USE_PREF_SIZE);
        // A long sentence has the whole width; what mends it goes below.
        VBox words = Nodes.column(sentence, Nodes.row(Nodes.grow(freshness), working, repair));
        words.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(words, Priority.ALWAYS);
        getChildren().addAll(tone, words);
        widthProperty().addListener(o -> keptPx = 0);
    }

    /** There is room for two lines and what is below; what needed more keeps it, so that the page moves once at most. */
    @Override
    protected double computeMinHeight(double width) {
        double usual = ROOM_EM * TextFont.of(this).getSize();
        if (getWidth() > 0) {
            keptPx = Math.max(keptPx, super.computeMinHeight(getWidth()));
        }
        return Math.max(usual, keptPx);
    }

    @Override
    protected double computePrefHeight(double width) {
        return Math.max(super.computePrefHeight(width), computeMinHeight(width));
    }

    /** @param where the station, or what else is shown, to read before its freshness */
    void show(String where, Verdict verdict, Freshness fresh) {
        say(verdict, where + ": " + fresh.mark().word() + (fresh.reason().isEmpty() ? "" : ", " + fresh.reason()));
        repair.setVisible(fresh.repair().isPresent());
        fresh.repair().ifPresent(way -> {
            repair.setText("Fix: " + way.words());
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
