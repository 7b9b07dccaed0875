package fahrbahn.app.robot;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.StopwatchBar;
import fahrbahn.app.words.Words;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.measuring.Taps;
import fahrbahn.core.readings.Capture;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import javafx.beans.InvalidationListener;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Bench measurements, a card each: what to do, what to type, what it comes to, and 'use it'. */
final class BenchPage {
    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    private final BenchModel model;
    private final VBox card = Nodes.column();
    private final List<Button> chips = new ArrayList<>();
    private final Action use = new Action("useResult", "Use it on the robot", KeyCode.U, this::use);
    private final Action slide = new Action("slide", "Slide: begin or end", KeyCode.S, this::slide);
    private final VBox results = Nodes.column();
    private final StopwatchBar watch;
    private List<TextField> fields = List.of();
    private BenchCard shown = BenchCard.ROLL;

    BenchPage(BenchModel model) {
        this.model = model;
        this.watch = new StopwatchBar(model.watch());
    }

    Pages.Page page() {
        HBox row = Nodes.row();
        for (BenchCard each : BenchCard.values()) {
            Button chip = new Button(each.title());
            chip.setId("card-" + each.name().toLowerCase(Locale.ROOT));
            chip.getStyleClass().add("chip");
            chip.setOnAction(e -> model.show(each));
            chips.add(chip);
            row.getChildren().add(chip);
        }
        model.typed().addListener((InvalidationListener) o -> refreshResults());
        model.setupNowProperty().addListener(o -> refreshResults());
        model.measure().surveyProperty().addListener(o -> refreshResults());
        model.measure().capturingProperty().addListener(o -> refreshResults());
        show(shown);
        ScrollPane scroll = new ScrollPane(card);
        scroll.setFitToWidth(true);
        model.cardProperty().addListener(o -> show(model.cardProperty().get()));
        model.watch().tapsProperty().addListener(o -> fillIn());
        List<Action> actions = new ArrayList<>(List.of(use, slide));
        actions.addAll(watch.actions());
        return new Pages.Page("Bench", Nodes.column(row, Nodes.grow(scroll)), actions, nowNs -> watch.frame());
    }

    /** What the watch says stands in the fields at once; Enter adds it. */
    private void fillIn() {
        Taps taps = model.watch().tapsProperty().get();
        if (taps.count() == 0 || shown.timeField() < 0) {
            return;
        }
        fields.get(shown.timeField()).setText(Words.hundredths(taps.totalS()));
        if (shown.countField() >= 0 && taps.count() > 1) {
            fields.get(shown.countField()).setText(Words.exact(taps.count()));
        }
    }

    private void use() {
        model.use(shown);
    }

    private void slide() {
        model.measure().toggle(Capture.SLIDE);
    }

    private void show(BenchCard each) {
        shown = each;
        for (int i = 0; i < chips.size(); i++) {
            chips.get(i).pseudoClassStateChanged(CHOSEN, i == each.ordinal());
        }
        CardSketch sketch = new CardSketch(each);
        sketch.setPrefSize(330, 190);
        sketch.setMinSize(300, 170);
        Label steps = Nodes.label(each.steps(), "reason");
        steps.setWrapText(true);
        steps.setMinHeight(Region.USE_PREF_SIZE);
        Label caution = Nodes.label(each.caution(), "caution");
        caution.setWrapText(true);
        caution.setMinHeight(Region.USE_PREF_SIZE);
        VBox words = Nodes.column(steps, caution, entry(each));
        VBox top = Nodes.panel(each.title(), Nodes.row(sketch, Nodes.grow(words)));
        refreshResults();
        card.getChildren().setAll(top, Nodes.panel("What the entries come to", results));
    }

    /** The fields to type one entry; Enter in any of them adds it. */
    private Node entry(BenchCard each) {
        if (each == BenchCard.SLIDE) {
            return slide.button();
        }
        HBox row = Nodes.row();
        fields = new ArrayList<>();
        Label problem = Nodes.label("", "problem");
        problem.setId("entryProblem");
        problem.setWrapText(true);
        Runnable add = () -> add(each, problem);
        for (int i = 0; i < each.fields().size(); i++) {
            BenchCard.Field field = each.fields().get(i);
            TextField text = new TextField(field.usual() == 0 ? "" : Words.exact(field.usual()));
            text.setId("entry-" + i);
            text.setAccessibleText(field.words());
            text.setPrefColumnCount(6);
            text.setOnAction(e -> add.run());
            watch.alsoIn(text);
            fields.add(text);
            row.getChildren().add(new VBox(Nodes.label(field.words(), "caption"), text));
        }
        Button button = new Button("Add");
        button.setId("addEntry");
        button.setOnAction(e -> add.run());
        row.getChildren().add(new VBox(Nodes.label(" ", "caption"), button));
        return Nodes.column(watch, row, problem);
    }

    private void add(BenchCard each, Label problem) {
        List<Double> row = new ArrayList<>();
        try {
            while (row.size() < fields.size()) {
                row.add(model.number(each, row.size(), fields.get(row.size()).getText()));
            }
            model.add(each, row);
            problem.setText("");
            model.watch().clear();
            TextField next = fields.get(fields.size() > 2 ? 2 : fields.size() - 1);
            Nodes.writeIn(next);
        } catch (BadValueException refused) {
            problem.setText(refused.getMessage() + ".");
            fields.get(Math.min(row.size(), fields.size() - 1)).requestFocus();
        }
    }

    private void refreshResults() {
        VBox rows = Nodes.column();
        List<List<Double>> entries = model.entries(shown);
        for (int i = 0; i < entries.size(); i++) {
            int index = i;
            List<Double> entry = entries.get(i);
            StringBuilder words = new StringBuilder();
            for (int k = 0; k < entry.size(); k++) {
                words.append(k == 0 ? "" : ",  ")
                        .append(shown.fields().get(k).words())
                        .append(' ')
                        .append(Words.exact(entry.get(k)));
            }
            Button away = new Button("Remove");
            away.getStyleClass().add("small");
            away.setOnAction(e -> model.remove(shown, index));
            rows.getChildren().add(Nodes.row(new Label((i + 1) + ".  " + words), away));
        }
        if (shown == BenchCard.SLIDE) {
            boolean sliding = model.measure().capturingProperty().get().equals(Capture.SLIDE);
            String slid = model.measure()
                    .latest(Capture.SLIDE)
                    .map(c -> "Latest slide: " + c.readings().size() + " readings from " + c.source() + ".")
                    .orElse("No slide yet.");
            rows.getChildren().add(new Label(sliding ? "Sliding. Press S when it is over." : slid));
        } else if (entries.isEmpty()) {
            rows.getChildren()
                    .add(Nodes.label("Nothing typed yet. Three entries tell how well it repeats.", "caption"));
        }
        Label result = Nodes.label(
                model.result(shown).map(BenchCard.Result::words).orElse("Nothing to use yet."), "bench-result");
        result.setId("benchResult");
        result.setWrapText(true);
        result.setMinHeight(Region.USE_PREF_SIZE);
        use.button()
                .setDisable(model.result(shown).map(r -> r.found().isEmpty()).orElse(true));
        results.getChildren().setAll(result, Nodes.row(use.button(), Nodes.label(uses(), "caption")), rows);
    }

    private String uses() {
        return model.result(shown)
                .filter(r -> !r.found().isEmpty())
                .map(r ->
                        "sets " + r.found().keySet().stream().map(c -> c.word()).collect(Collectors.joining(", "))
                                + (shown == BenchCard.SLIDE ? " of each sensor, its dark and light" : ""))
                .orElse("");
    }
}
