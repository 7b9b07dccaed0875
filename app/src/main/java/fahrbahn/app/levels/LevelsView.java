package fahrbahn.app.levels;

import fahrbahn.app.chart.Plot;
import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.FileAsk;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.SideBySide;
import fahrbahn.app.kit.StationView;
import fahrbahn.app.kit.field.NumberField;
import fahrbahn.core.levels.LevelChoice;
import fahrbahn.core.levels.LevelSchool;
import fahrbahn.core.levels.LevelTable;
import fahrbahn.core.levels.Levels;
import fahrbahn.words.MisreadWords;
import fahrbahn.words.Words;
import java.util.List;
import java.util.Locale;
import javafx.beans.InvalidationListener;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** Each sensor's readings with its levels on them, and every school's level beside each other. */
public final class LevelsView {
    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");
    private static final List<String> HEADS =
            List.of("", "threshold", "misreads, likely range", "sits", "sensitivity", "light change");

    /** Of the width, for the plot. */
    private static final double PLOT_SHARE = 0.4;

    /** Narrower than this, in heights of letters, the table of the schools stands below its plot. */
    private static final double LEAST_EM = 72;

    private final LevelsModel model;
    private final VBox sensors = Nodes.column();

    private LevelsView(LevelsModel model) {
        this.model = model;
    }

    public static StationView of(LevelsModel model) {
        return new LevelsView(model).build();
    }

    private StationView build() {
        return new Pages()
                .with("Thresholds", this::levels)
                .with("Scaling", () -> new ScalingPage(model.scaling()).page())
                .with("Law", () -> new LawPage(model.law()).page())
                .with("Marks", () -> new MarksPage(model.marks()).page())
                .with("Turns", () -> new TurnsPage(model.turns()).page())
                .view();
    }

    private Pages.Page levels() {
        Action use = new Action("useLevels", "Use these on the robot", KeyCode.U, model::useOnRobot);
        Action next = new Action("nextSensor", "Next sensor", KeyCode.H, model::nextSensor);
        Action lower = new Action("lowerLevel", "Lower", KeyCode.LEFT, () -> model.nudge(-1));
        Action higher = new Action("higherLevel", "Higher", KeyCode.RIGHT, () -> model.nudge(1));
        Action before = new Action("schoolBefore", "Previous method", KeyCode.UP, () -> model.chooseNext(-1));
        Action after = new Action("schoolAfter", "Next method", KeyCode.DOWN, () -> model.chooseNext(1));
        Action save = new Action("saveLevels", "Save the numbers", KeyCode.P, this::save);
        List<Action> actions = List.of(use, next, lower, higher, before, after, save);
        model.tables().addListener((InvalidationListener) o -> refresh(actions));
        model.chosenProperty().addListener(o -> refresh(actions));
        model.inHandProperty().addListener(o -> refresh(actions));
        refresh(actions);
        FlowPane head = Nodes.flow();
        actions.forEach(a -> head.getChildren().add(a.button()));
        return new Pages.Page(Nodes.column(head, Nodes.grow(sensors)), actions);
    }

    private void save() {
        FileAsk.save(
                sensors,
                "levels.json",
                model::save,
                new FileChooser.ExtensionFilter("Numbers (JSON, CSV)", "*.json", "*.csv"));
    }

    private void refresh(List<Action> actions) {
        actions.forEach(a -> a.button().setDisable(!model.canUse()));
        sensors.getChildren().clear();
        for (int i = 0; i < model.tables().size(); i++) {
            boolean inHand =
                    model.tables().size() > 1 && i == model.inHandProperty().get();
            sensors.getChildren().add(sensor(model.tables().get(i), inHand));
        }
        if (model.tables().isEmpty()) {
            sensors.getChildren()
                    .add(Nodes.label(LevelWords.nothing(model.refused().isPresent()), "caption"));
        }
    }

    private Region sensor(LevelTable table, boolean inHand) {
        Plot plot = new Plot("reading", "times seen", "Readings on dark and light, with the thresholds");
        plot.setMinHeight(175);
        plot.show(LevelsChart.of(table, model.school()));
        String name = table.sensor().sensor();
        plot.pulled(
                plot::cursor,
                level -> model.type(
                        name, LevelTable.rounded(level, table.sensor().step())));
        VBox panel = Nodes.panel(
                "Sensor " + name + (inHand ? ", selected: the arrows move its threshold" : ""), Nodes.grow(plot));
        return Nodes.grow(new SideBySide(panel, side(table), PLOT_SHARE, LEAST_EM));
    }

    private VBox side(LevelTable table) {
        LevelChoice used = table.used(model.school());
        Label level = new Label(Words.exact(used.level()));
        level.setId("level-" + table.sensor().sensor());
        level.getStyleClass().add("far-number");
        GridPane grid = new GridPane();
        grid.getStyleClass().add("schools");
        for (int column = 0; column < HEADS.size(); column++) {
            grid.add(Nodes.cell(HEADS.get(column), "caption"), column, 0);
        }
        for (int i = 0; i < table.choices().size(); i++) {
            row(grid, i + 1, table, table.choices().get(i));
        }
        Levels levels = table.sensor().levels();
        Label band = Nodes.label(
                levels.few()
                        ? "Two thresholds: too few readings."
                        : levels.bandHolds()
                                ? "Two thresholds: " + Words.number(levels.bandDark(), 4) + " and "
                                        + Words.number(levels.bandLight(), 4) + "."
                                : "No second threshold: the surfaces overlap.",
                "caption");
        if (table.choice(LevelSchool.EDGE).isEmpty()) {
            band.setText(band.getText() + " Not measured on the edge: E in Measure (3).");
        }
        NumberField typed = new NumberField(
                "typed-" + table.sensor().sensor(),
                "in the program",
                "Threshold in the program now, as a raw reading, to compare it.",
                v -> model.type(table.sensor().sensor(), v));
        typed.show(table.choice(LevelSchool.TYPED).map(LevelChoice::level).orElse(Double.NaN));
        VBox side = Nodes.column(Nodes.row(level, Nodes.spring(), typed), grid, band);
        return side;
    }

    private static Label whole(String words) {
        return Nodes.cell(words);
    }

    private void row(GridPane grid, int row, LevelTable table, LevelChoice choice) {
        LevelSchool school = choice.school();
        Button name = new Button(school.word());
        name.setId("school-" + school.name().toLowerCase(Locale.ROOT) + "-"
                + table.sensor().sensor());
        name.getStyleClass().add("chip");
        name.setMinWidth(Region.USE_PREF_SIZE);
        name.pseudoClassStateChanged(CHOSEN, school == model.school());
        name.setOnAction(e -> model.choose(school));
        String rides = Double.isNaN(choice.rideOffsetMm())
                ? "nowhere"
                : Math.abs(choice.rideOffsetMm()) < 0.05
                        ? "on the edge"
                        : Words.number(Math.abs(choice.rideOffsetMm()), 2) + " mm "
                                + (choice.rideOffsetMm() > 0 ? "off it" : "on it");
        String slope = Double.isNaN(choice.slopeShare()) ? "none" : Words.percent(choice.slopeShare());
        grid.addRow(
                row,
                name,
                whole(Words.exact(choice.level())),
                whole(MisreadWords.of(choice.misreads())),
                whole(rides),
                whole(slope),
                whole(
                        table.sensor().levels().few()
                                ? "\u2013"
                                : "\u00b1 " + Words.number(choice.shiftMargin(), 2) + ", \u00b1 "
                                        + Words.percent(choice.factorMargin())));
    }
}
