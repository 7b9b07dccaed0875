package fahrbahn.app.gains;

import fahrbahn.app.chart.Plot;
import fahrbahn.app.gains.goal.GoalPage;
import fahrbahn.app.gains.map.MapPage;
import fahrbahn.app.gains.next.NextPage;
import fahrbahn.app.gains.response.IntegralPage;
import fahrbahn.app.gains.response.ResponsePage;
import fahrbahn.app.gains.transfer.TransferPage;
import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.FileAsk;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.StationView;
import fahrbahn.app.kit.field.NumberField;
import fahrbahn.app.kit.field.Questions;
import fahrbahn.card.LaneChart;
import fahrbahn.core.loop.LaneReport;
import fahrbahn.core.loop.WiggleOnset;
import fahrbahn.core.setup.Law;
import fahrbahn.core.tuning.LanePicture;
import fahrbahn.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleConsumer;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** The lane, the limits it is made of, the gains as set and the pair to try next. */
public final class GainsView {
    /** Wide enough that all beside the lane stands in the window of usual size. */
    private static final double SIDE_WIDTH = 390;

    private final GainsModel model;
    private final Plot plot = new Plot("speed, mm/s", "Kp", "The lane: gains between leaving bends and wiggling");
    private final Label leastLead = new Label();
    private final Label onset = new Label();
    private final Label period = new Label();
    private final Label bend = new Label();
    private final Label theory = Nodes.wrapped("", "caption");
    private final Label speeds = Nodes.wrapped("", "caption");
    private final Label why = Nodes.label("", "reason");
    private final ProgressBar progress = new ProgressBar(0);
    private final Action stop;
    private final Action use;
    private final NumberField kp = gain("kp", "Kp, per loop", "Proportional gain", v -> choose(v, law().kd()))
            .asks(Questions.gain("Kp", this::kpsKnown));
    private final NumberField kd = gain("kd", "Kd, per loop", "Derivative gain per loop", v -> choose(law().kp(), v))
            .asks(Questions.gain("Kd", () -> new double[] {law().kd(), 2 * law().kp()}));

    private GainsView(GainsModel model) {
        this.model = model;
        this.stop = new Action("stopTrying", "Stop", KeyCode.S, model::stopTrying);
        this.use = new Action("useGains", "Use the suggested gains", KeyCode.U, model::useAdvice);
    }

    public static StationView of(GainsModel model) {
        return new GainsView(model).build();
    }

    private GridPane limits() {
        GridPane grid = new GridPane();
        grid.getStyleClass().add("figures");
        grid.add(
                Nodes.figure(
                        leastLead, "sensors ahead at least", "Distance ahead of the axle below which every Kp wiggles"),
                0,
                0);
        grid.add(
                Nodes.figure(bend, "Kp for the tightest bend", "Bend minimum: lowest Kp that holds the tightest bend"),
                1,
                0);
        grid.add(
                Nodes.figure(onset, "wiggle limit, Kd 0", "Wiggle limit: highest Kp without steady wiggling, at Kd 0"),
                0,
                1);
        grid.add(Nodes.figure(period, "its period", "Period at the stability limit"), 1, 1);
        return grid;
    }

    private static NumberField gain(String id, String words, String term, DoubleConsumer set) {
        return new NumberField(id, words, term, set);
    }

    private Law law() {
        return model.setupNowProperty().get().law();
    }

    /** What stands there, and the limits of the lane where they are known. */
    private double[] kpsKnown() {
        Optional<LaneReport> lane = model.picture().get().map(LanePicture::report);
        return new double[] {
            law().kp(),
            lane.flatMap(LaneReport::wiggle).map(WiggleOnset::kp).orElse(0.0),
            lane.map(LaneReport::bendKp).orElse(0.0)
        };
    }

    private void choose(double newKp, double newKd) {
        model.choice().choose(newKp, law().ki(), newKd);
    }

    private StationView build() {
        return new Pages()
                .with("Lane", this::lane)
                .with("Map", this::map)
                .with("Response", () -> new ResponsePage(model.response()).page())
                .with("Ki", this::integral)
                .with("Goal", () -> new GoalPage(model.goal()).page())
                .with("Next trial", () -> new NextPage(model.next()).page())
                .with("Carry over", this::transfer)
                .view();
    }

    private Pages.Page map() {
        MapPage map = new MapPage(model.map());
        model.setupNowProperty().addListener(o -> map.refresh());
        return map.page();
    }

    private Pages.Page integral() {
        IntegralPage integral = new IntegralPage(model.response());
        model.setupNowProperty().addListener(o -> integral.refreshKi());
        return integral.page();
    }

    private Pages.Page transfer() {
        TransferPage transfer = new TransferPage(model.transfer());
        model.setupNowProperty().addListener(o -> transfer.refreshFields());
        return transfer.page();
    }

    private Pages.Page lane() {
        why.setWrapText(true);
        why.setMinHeight(Region.USE_PREF_SIZE);
        why.setId("gainReason");
        FlowPane gains = new FlowPane(kp, kd);
        gains.getStyleClass().add("fields");
        VBox side = Nodes.column(
                Nodes.panel("Limits at this speed, calculated", limits(), speeds, theory),
                Nodes.panel("Gains as set", gains),
                Nodes.panel("Suggested, simulated", why, progress, Nodes.flow(use.button(), stop.button())));
        progress.setId("adviceProgress");
        progress.visibleProperty().bind(model.tryingProperty());
        progress.managedProperty().bind(progress.visibleProperty());
        stop.button().disableProperty().bind(model.tryingProperty().not());
        Action save = new Action("saveLane", "Save the picture", KeyCode.P, this::savePicture);
        side.setMinWidth(SIDE_WIDTH);
        side.setMaxWidth(SIDE_WIDTH);
        model.picture().valueProperty().addListener(o -> refresh());
        refresh();
        return new Pages.Page(
                Nodes.row(
                        Nodes.grow(
                                Nodes.panel("The lane, calculated: Kp against speed", Nodes.grow(plot), save.button())),
                        side),
                List.of(use, save, stop),
                nowNs -> {
                    model.show();
                    progress.setProgress(model.progress());
                },
                model::lookAway);
    }

    private void savePicture() {
        FileAsk.save(
                plot,
                "lane.pdf",
                model::savePicture,
                new FileChooser.ExtensionFilter("Drawings (PDF, SVG)", "*.pdf", "*.svg"));
    }

    private void refresh() {
        kp.show(law().kp());
        kd.show(law().kd());
        Optional<LanePicture> picture = model.picture().get();
        use.button().setDisable(picture.map(LanePicture::hopeless).orElse(true));
        picture.ifPresent(this::show);
    }

    private void show(LanePicture picture) {
        plot.show(new LaneChart(picture));
        leastLead.setText(Words.millimetres(picture.report().leastLeadMm()));
        bend.setText(Words.number(picture.report().bendKp()));
        onset.setText(picture.report().wiggle().map(w -> Words.number(w.kp())).orElse("at any Kp"));
        period.setText(picture.report()
                .wiggle()
                .map(WiggleOnset::periodS)
                .map(s -> Words.number(s) + " s")
                .orElse("none"));
        why.setText(GainsWords.reason(picture));
        speeds.setText(GainsWords.speeds(picture));
        Nodes.showIf(speeds, !speeds.getText().isEmpty());
        theory.setText(GainsWords.theory(picture));
    }
}
