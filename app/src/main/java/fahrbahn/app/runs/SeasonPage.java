package fahrbahn.app.runs;

import fahrbahn.app.chart.Plot;
import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.FileAsk;
import fahrbahn.app.kit.Follow;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.runs.report.SeasonWords;
import fahrbahn.app.runs.report.StretchChart;
import fahrbahn.core.trials.Stretch;
import java.util.List;
import java.util.function.UnaryOperator;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser.ExtensionFilter;

/** The season of the robot in hand: when it changed, and when it got better. */
final class SeasonPage {
    private static final double SIDE_WIDTH = 400;

    /** The newest fit beside the charts; all are drawn. */
    private static final int TOLD = 12;

    private final BookModel model;
    private final UnaryOperator<String> venueName;
    private final Plot chance = new Plot("stretch", "finished, %", "Chance to finish, by period").stacked(true);
    private final Plot laps = new Plot("stretch", "time, s", "Time of finished runs, by period").stacked(true);
    private final Label verdict = Nodes.wrapped("", "bench-result");
    private final VBox changes = Nodes.column();

    SeasonPage(BookModel model) {
        this.model = model;
        this.venueName = model::venueName;
        verdict.setId("seasonVerdict");
        changes.setId("seasonChanges");
    }

    Pages.Page page() {
        VBox main = Nodes.column(
                Nodes.grow(Nodes.panel("Chance to finish, %, likely range, by period", Nodes.grow(chance))),
                Nodes.grow(Nodes.panel("Time of finished runs, s, mean and scatter", Nodes.grow(laps))));
        Action report = new Action("seasonReport", "Report", KeyCode.V, this::report);
        Action whole = new Action("seasonWhole", "Whole season", KeyCode.W, this::whole);
        Follow.of(model.stretches(), this::refresh, chance, laps, verdict, changes);
        VBox side = Nodes.column(
                Nodes.panel("The season of this robot", verdict, Nodes.flow(report.button(), whole.button())),
                Nodes.grow(Nodes.panel("What changed, newest first", changes)));
        side.setMinWidth(SIDE_WIDTH);
        side.setMaxWidth(SIDE_WIDTH);
        return new Pages.Page(
                Nodes.row(Nodes.grow(main), side),
                List.of(report, whole),
                nowNs -> model.stretches().show());
    }

    private void report() {
        FileAsk.save(changes, "season.pdf", model.files()::report, new ExtensionFilter("To print (PDF)", "*.pdf"));
    }

    private void whole() {
        FileAsk.save(
                changes, "season.json", model.files()::whole, new ExtensionFilter("Every document (JSON)", "*.json"));
    }

    private void refresh() {
        if (model.stretches().get().isEmpty()) {
            return; // what was there before is dimmed
        }
        List<Stretch> all = model.stretches().get().get();
        verdict.setText(SeasonWords.verdict(all));
        changes.getChildren().clear();
        if (all.isEmpty()) {
            return;
        }
        chance.show(new StretchChart(all, StretchChart.What.CHANCE));
        laps.show(new StretchChart(all, StretchChart.What.TIME));
        for (int i = all.size() - 1; i >= Math.max(0, all.size() - TOLD); i--) {
            changes.getChildren().add(Nodes.wrapped(SeasonWords.stretch(i + 1, all.get(i), venueName)));
        }
    }
}
