package fahrbahn.app.drive.stopping;

import fahrbahn.app.drive.stopping.StopModel.Answer;
import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Follow;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.field.NumberField;
import fahrbahn.app.state.Value;
import fahrbahn.core.stopping.Rule;
import fahrbahn.core.stopping.Sensing;
import fahrbahn.words.StoppingWords;
import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.ToDoubleFunction;
import javafx.beans.InvalidationListener;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** How to decide that it is there: every rule side by side, and what would make the one in hand better. */
public final class StopPage {
    private static final double SIDE_WIDTH = 380;

    private final StopModel model;
    private final StopPicture picture;
    private final Label verdict = Nodes.wrapped(StopWords.DRIVING, "bench-result");
    private final Label betterHead = Nodes.wrapped("", "strong");
    private final VBox better = Nodes.column();
    private final Label backHead = Nodes.wrapped("", "panel-title");
    private final GridPane back = new GridPane();
    private final ProgressBar progress = new ProgressBar(0);
    private final List<Runnable> shown = new ArrayList<>();

    public StopPage(StopModel model) {
        this.model = model;
        this.picture = new StopPicture(model::take);
        verdict.setId("stopVerdict");
        betterHead.setId("stopInHand");
        better.setId("stopBetter");
        back.setId("stopBack");
        back.getStyleClass().add("schools");
        progress.setId("stopProgress");
    }

    public Pages.Page page() {
        Action before = new Action("ruleBefore", "Rule above", KeyCode.UP, () -> model.move(-1));
        Action after = new Action("ruleAfter", "Rule below", KeyCode.DOWN, () -> model.move(1));
        progress.visibleProperty().bind(model.answer().computingProperty());
        progress.managedProperty().bind(progress.visibleProperty());
        model.inHandProperty().addListener(o -> {
            refresh();
            showBack();
        });
        model.runs().addListener((InvalidationListener) o -> refresh());
        Follow.of(model.answer(), this::refresh, picture, better);
        Follow.of(model.back(), this::showBack, back);
        VBox side = Nodes.column(Nodes.panel("What would improve it", betterHead, better));
        side.setMinWidth(SIDE_WIDTH);
        side.setMaxWidth(SIDE_WIDTH);
        FlowPane fields = fields();
        fields.getChildren().addAll(before.button(), after.button(), progress);
        fields.getStyleClass().add("by-bottom");
        VBox body = Nodes.column(
                Nodes.panel("Where to stop, and how to decide", verdict, fields),
                Nodes.grow(Nodes.row(
                        Nodes.grow(Nodes.column(
                                Nodes.grow(Nodes.panel(
                                        "Where " + StopModel.RUNS + " runs stop, about their mean",
                                        Nodes.grow(picture))),
                                backPanel())),
                        side)));
        return new Pages.Page(body, List.of(before, after), nowNs -> {
            model.show();
            progress.setProgress(model.answer().progress());
        });
    }

    private FlowPane fields() {
        return Nodes.flow(
                field(
                        "stopWay",
                        "way, mm",
                        "From the last known place (mark or start) to where it decides.",
                        Sensing::wayMm,
                        Sensing::withWayMm),
                window(),
                field(
                        "wheelStep",
                        "one count, mm",
                        "Distance per encoder count.",
                        Sensing::wheelStepMm,
                        Sensing::withWheelStepMm),
                field(
                        "markNoise",
                        "mark seen to, mm",
                        "Standard deviation of where the mark's edge is seen.",
                        Sensing::markNoiseMm,
                        Sensing::withMarkNoiseMm),
                field(
                        "distanceNoise",
                        "distance to, mm",
                        "Standard deviation of a distance reading.",
                        Sensing::distanceNoiseMm,
                        Sensing::withDistanceNoiseMm),
                field(
                        "missShare",
                        "missed, %",
                        "How many of 100 readings see nothing.",
                        s -> 100 * s.missShare(),
                        (s, v) -> s.withMissShare(v / 100)));
    }

    private NumberField window() {
        NumberField field = new NumberField(
                "stopWindow",
                "window, ± mm",
                "How far off the robot may stop and the attachment still works.",
                v -> model.change(p -> p.withWindowMm(v)));
        shown.add(() -> field.show(model.plan().windowMm()));
        return field;
    }

    private NumberField field(
            String id,
            String words,
            String term,
            ToDoubleFunction<Sensing> value,
            BiFunction<Sensing, Double, Sensing> with) {
        NumberField field =
                new NumberField(id, words, term, v -> model.change(p -> p.withSensing(with.apply(p.sensing(), v))));
        shown.add(() -> field.show(value.applyAsDouble(model.plan().sensing())));
        return field;
    }

    private void refresh() {
        shown.forEach(Runnable::run);
        Value<Answer> value = model.answer().value();
        Optional<Answer> answer = value.ready();
        Rule rule = model.inHandProperty().get();
        answer.ifPresent(a -> picture.show(a, rule));
        verdict.setText(answer.map(StopWords::verdict).orElseGet(() -> value.absence(StopWords.DRIVING)));
        betterHead.setText("Stopping by " + StoppingWords.name(rule));
        answer.ifPresent(a -> better.getChildren().setAll(better(a, rule)));
    }

    private VBox backPanel() {
        VBox panel = new VBox(backHead, back);
        panel.getStyleClass().add("panel");
        return panel;
    }

    private void showBack() {
        backHead.setText(StopWords.backHead(model.inHandProperty().get()));
        model.back().get().ifPresent(this::fillBack);
    }

    private void fillBack(StopModel.Back answer) {
        back.getChildren().clear();
        String window = "home within " + Words.number(answer.windowMm(), 3) + " mm";
        String[] heads = {"way back", "along, mm", "across, mm", "heading, deg", window};
        for (int i = 0; i < heads.length; i++) {
            back.add(Nodes.wrapped(heads[i], "caption"), i, 0);
        }
        int row = 1;
        for (List<String> cells : StopWords.back(answer)) {
            back.addRow(row, Nodes.wrapped(cells.get(0)));
            for (int i = 1; i < cells.size(); i++) {
                back.add(Nodes.cell(cells.get(i)), i, row);
            }
            row++;
        }
    }

    private List<Node> better(Answer answer, Rule rule) {
        List<Node> lines = new ArrayList<>();
        StopWords.better(answer, rule).forEach(words -> lines.add(Nodes.wrapped(words)));
        lines.add(Nodes.wrapped(StopWords.slower(answer, rule)));
        lines.add(Nodes.wrapped(StopWords.formula(answer, rule), "reason"));
        lines.add(Nodes.wrapped(StopWords.logged(model.logged()), "reason"));
        return lines;
    }
}
