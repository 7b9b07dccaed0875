package fahrbahn.app.drive;

import fahrbahn.app.chart.Plot;
import fahrbahn.app.drive.run.LossWords;
import fahrbahn.app.drive.run.Odds;
import fahrbahn.app.drive.view.CourseView;
import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.field.ChoiceField;
import fahrbahn.core.review.LossFactors.Factor;
import fahrbahn.core.review.ManyRuns.Reason;
import fahrbahn.core.twin.RunResult;
import fahrbahn.pen.Sheet;
import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Many runs: where they went, where they stopped, and what made the lost ones lost. */
final class ManyPage {
    private static final double SIDE_WIDTH = 340;
    private static final double BAR_WIDTH = 90;
    private static final double PLOT_HEIGHT = 150;

    private final DriveModel model;
    private final CourseView course = new CourseView("Where many runs went");
    private final Plot stops = new Plot("mm beyond the finish", "runs", "Where they came to rest");
    private final Plot times = new Plot("time, s", "runs", "How long they took");
    private final Label chance = new Label("none");
    private VBox page;
    private final VBox reasons = new VBox();
    private final VBox factors = new VBox();

    ManyPage(DriveModel model) {
        this.model = model;
        chance.setId("manyChance");
        reasons.setId("manyReasons");
        factors.setId("manyFactors");
        stops.setMinHeight(PLOT_HEIGHT);
        stops.setPrefHeight(PLOT_HEIGHT);
        times.setMinHeight(PLOT_HEIGHT);
        times.setPrefHeight(PLOT_HEIGHT);
    }

    Pages.Page page(FlowPane controls, List<Action> shared) {
        Action lost = new Action("seeLost", "See a lost one", KeyCode.L, model::seeLost);
        Action save = new Action("saveMany", "Save", KeyCode.T, this::save);
        ChoiceField<Integer> count = new ChoiceField<>(
                "runCount",
                "runs",
                "Number of simulated runs.",
                ManyModel.COUNTS.toArray(Integer[]::new),
                String::valueOf,
                model.many()::chooseCount);
        count.show(model.many().count());
        controls.getChildren().addAll(controls.getChildren().size() - 1, List.of(count, lost.button(), save.button()));
        model.oddsProperty().addListener(o -> refresh(lost));
        model.laidProperty().addListener(o -> lay());
        model.setupNowProperty().addListener(o -> course.showLine(lineWidthMm()));
        course.showLine(lineWidthMm());
        lay();
        refresh(lost);
        VBox side = Nodes.column(
                Nodes.panel(
                        "Chance to finish",
                        Nodes.figure(
                                chance,
                                "likely range",
                                "Likely range (95 %, Clopper-Pearson) of the chance to finish")),
                Nodes.panel("Why runs were lost", reasons),
                Nodes.panel("What makes a run lose the line", factors));
        side.setMinWidth(SIDE_WIDTH);
        side.setMaxWidth(SIDE_WIDTH);
        VBox table = Nodes.panel("Where they went (darker: more often)", Nodes.grow(course));
        VBox shown = Nodes.column(Nodes.grow(table), Nodes.row(Nodes.grow(stops), Nodes.grow(times)));
        page = Nodes.column(controls, Nodes.grow(Nodes.row(Nodes.grow(shown), side)));
        List<Action> actions = new ArrayList<>(shared);
        actions.add(lost);
        actions.add(save);
        return new Pages.Page(page, actions);
    }

    private double lineWidthMm() {
        return model.setupNowProperty().get().line().widthMm();
    }

    private void lay() {
        model.laidProperty().get().ifPresent(laid -> course.lay(laid.ground()));
    }

    private void refresh(Action lost) {
        lost.button().setDisable(!model.many().anyLost());
        Optional<Odds> odds = model.oddsProperty().get();
        course.showDensity(odds.map(o -> o.many().density()).orElse(null));
        chance.setText(odds.map(o -> Words.percent(o.runs().completion().low()) + " to "
                        + Words.percent(o.runs().completion().high()))
                .orElse("none yet"));
        reasons.getChildren().setAll(odds.map(ManyPage::reasons).orElse(promise("Each reason, and how often.")));
        factors.getChildren()
                .setAll(odds.map(ManyPage::factors).orElse(promise("Battery, light, grip, start, ranked.")));
        odds.ifPresent(this::plots);
    }

    private static List<Node> promise(String words) {
        return List.of(Nodes.wrapped(words, "caption"));
    }

    private void plots(Odds odds) {
        double[] stopped = odds.runs().ofCompleted(RunResult::stopAlongMm);
        if (stopped.length > 0) {
            stops.show(HistogramChart.of("Where completed runs came to rest", "mm beyond the finish", stopped));
            times.show(HistogramChart.of(
                    "How long completed runs took", "time, s", odds.runs().ofCompleted(RunResult::timeS)));
        }
    }

    private void save() {
        model.oddsProperty().get().ifPresent(odds -> {
            double[] stopped = odds.runs().ofCompleted(RunResult::stopAlongMm);
            double[] took = odds.runs().ofCompleted(RunResult::timeS);
            Saver.save(
                    model,
                    page,
                    "runs.png",
                    false,
                    () -> stopped.length == 0
                            ? List.of(course.sheet())
                            : List.of(
                                    course.sheet(),
                                    Sheet.of(HistogramChart.of(
                                            "Where completed runs came to rest", "mm beyond the finish", stopped)),
                                    Sheet.of(HistogramChart.of("How long completed runs took", "time, s", took))));
        });
    }

    private static List<Node> reasons(Odds odds) {
        List<Reason> all = odds.many().reasons();
        if (all.isEmpty()) {
            return promise("None was lost.");
        }
        int looked = all.stream().mapToInt(Reason::count).sum();
        GridPane grid = new GridPane();
        grid.getStyleClass().add("table");
        for (int i = 0; i < all.size(); i++) {
            row(
                    grid,
                    i,
                    (double) all.get(i).count() / looked,
                    String.valueOf(all.get(i).count()),
                    LossWords.sort(all.get(i).sort()));
        }
        return List.of(grid, Nodes.wrapped(LossWords.sentence(all.get(0).example(), odds.setup()), "caption"));
    }

    private static List<Node> factors(Odds odds) {
        List<Factor> told = odds.factors().told();
        if (told.isEmpty()) {
            return promise(odds.factors().lost() == 0 ? "Nothing did." : "Nothing stands out.");
        }
        GridPane grid = new GridPane();
        grid.getStyleClass().add("table");
        for (int i = 0; i < told.size(); i++) {
            row(grid, i, told.get(i).share(), Words.percent(told.get(i).share()), LossWords.condition(told.get(i)));
        }
        return List.of(grid, Nodes.wrapped("Share of lost runs explained by each.", "caption"));
    }

    private static void row(GridPane grid, int row, double share, String number, String words) {
        Region bar = new Region();
        bar.getStyleClass().add("share-bar");
        bar.setMinWidth(Math.max(2, share * BAR_WIDTH));
        bar.setMaxWidth(Math.max(2, share * BAR_WIDTH));
        grid.add(bar, 0, row);
        grid.add(Nodes.cell(number, "strong"), 1, row);
        grid.add(Nodes.wrapped(words), 2, row);
    }
}
