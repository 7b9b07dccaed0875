package fahrbahn.app.handover.drill;

import fahrbahn.app.chart.Plot;
import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.SideBySide;
import fahrbahn.app.kit.field.Fields;
import fahrbahn.core.drill.Drill;
import fahrbahn.core.drill.DrillFault;
import fahrbahn.core.drill.DrillScore.Answer;
import fahrbahn.core.drill.Offer;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** A stranger's robot with something wrong with it: what it shows, and one key for each thing that may be wrong. */
public final class DrillPage {
    private static final PseudoClass SAID = PseudoClass.getPseudoClass("said");
    private static final double MAIN_SHARE = 0.56;
    private static final double LEAST_EM = 66;
    private static final double LEAST_PLOT_HEIGHT = 130;
    private static final Map<DrillFault, KeyCode> KEYS = Map.ofEntries(
            Map.entry(DrillFault.TOO_SOFT, KeyCode.S),
            Map.entry(DrillFault.TOO_SHARP, KeyCode.H),
            Map.entry(DrillFault.NO_DAMPING, KeyCode.D),
            Map.entry(DrillFault.LAG, KeyCode.L),
            Map.entry(DrillFault.SWAPPED, KeyCode.W),
            Map.entry(DrillFault.WRONG_EDGE, KeyCode.E),
            Map.entry(DrillFault.LEVELS, KeyCode.V),
            Map.entry(DrillFault.GLARE, KeyCode.G),
            Map.entry(DrillFault.SLOW_LOOP, KeyCode.O),
            Map.entry(DrillFault.WORN_WHEELS, KeyCode.U),
            Map.entry(DrillFault.FLAT_BATTERY, KeyCode.B),
            Map.entry(DrillFault.CREASE, KeyCode.C),
            Map.entry(DrillFault.SATURATED, KeyCode.T));

    /** Beside the keys of the faults: one for each thing to do next, where they stand. */
    private static final List<KeyCode> NEXT_KEYS = List.of(KeyCode.F, KeyCode.J, KeyCode.K, KeyCode.M);

    private final DrillModel model;
    private final Plot readings = new Plot("time, s", "readings", "Press Space for a drill.").stacked(true);
    private final Plot steering = new Plot("time, s", "units", "Its steering is shown here.").stacked(true);
    private final Plot way = new Plot("mm", "mm", "Its path is shown here.");
    private final VBox faultPanel = Nodes.panel("Press one key; beside it: your score");
    private final VBox nextPanel = Nodes.panel("And next?");
    private DrillCharts.Look look = DrillCharts.Look.WHOLE;
    private final Label state = Nodes.wrapped("", "bench-result");
    private final Label robot = Nodes.wrapped("", "reason");
    private final Label total = Nodes.wrapped("", "reason");
    private final Map<DrillFault, Action> answers = new EnumMap<>(DrillFault.class);
    private final List<Action> nexts = new ArrayList<>();
    private final Map<DrillFault, Label> scores = new EnumMap<>(DrillFault.class);

    public DrillPage(DrillModel model) {
        this.model = model;
        state.setId("drillState");
        robot.setId("drillRobot");
        total.setId("drillTotal");
        readings.setId("drillReadings");
        List.of(readings, steering, way).forEach(plot -> plot.setMinHeight(LEAST_PLOT_HEIGHT));
    }

    public Pages.Page page() {
        Action next = new Action("drillNext", "Next drill", KeyCode.SPACE, model::next);
        TextField who = who();
        GridPane grid = new GridPane();
        grid.getStyleClass().add("schools");
        for (DrillFault fault : DrillFault.values()) {
            Action answer = new Action(
                    "drill-" + fault.name().toLowerCase(Locale.ROOT).replace('_', '-'),
                    DrillWords.name(fault),
                    KEYS.get(fault),
                    () -> model.say(fault));
            Label score = Nodes.wrapped("", "caption");
            answers.put(fault, answer);
            scores.put(fault, score);
            int column = fault.ordinal() % 2 * 2;
            grid.add(answer.button(), column, fault.ordinal() / 2);
            grid.add(score, column + 1, fault.ordinal() / 2);
        }
        for (int i = 0; i < NEXT_KEYS.size(); i++) {
            int offer = i;
            Action way = new Action("drillNext" + (i + 1), "", NEXT_KEYS.get(i), () -> model.act(offer));
            way.button().setMaxWidth(Double.MAX_VALUE);
            way.button().setAlignment(Pos.CENTER_LEFT);
            nexts.add(way);
            nextPanel.getChildren().add(way.button());
        }
        Action closer = new Action("drillCloser", "Closer", KeyCode.Z, () -> look(look.turned()));
        Action earlier = new Action("drillEarlier", "Earlier", KeyCode.LEFT, () -> look(look.moved(-1)));
        Action later = new Action("drillLater", "Later", KeyCode.RIGHT, () -> look(look.moved(1)));
        model.drillProperty().addListener(o -> refresh());
        model.answerProperty().addListener(o -> refresh());
        model.doneProperty().addListener(o -> refresh());
        model.scoreProperty().addListener(o -> refreshScores());
        refresh();
        refreshScores();
        VBox main = Nodes.column(Nodes.panel(
                "What it shows",
                Nodes.row(Nodes.grow(robot), closer.button(), earlier.button(), later.button()),
                Nodes.grow(readings),
                Nodes.grow(steering),
                Nodes.grow(way)));
        faultPanel.getChildren().addAll(grid, total);
        VBox side = Nodes.column(
                Nodes.panel("What is wrong with it?", state, Nodes.flow(next.button(), who)), faultPanel, nextPanel);
        VBox.setVgrow(main.getChildren().get(0), Priority.ALWAYS);
        List<Action> all = new ArrayList<>(List.of(next));
        all.addAll(answers.values());
        all.addAll(nexts);
        all.addAll(List.of(closer, earlier, later));
        return new Pages.Page(new SideBySide(main, side, MAIN_SHARE, LEAST_EM), all, nowNs -> sayState());
    }

    private TextField who() {
        TextField who = new TextField();
        who.setId("drillWho");
        who.setPromptText("who answers");
        who.setPrefColumnCount(10);
        who.setAccessibleText("who answers");
        Fields.describe(who, "who answers", "Name of the person answering; empty for all together.");
        who.textProperty().addListener(o -> {
            model.who(who.getText());
            refreshScores();
        });
        return who;
    }

    private void sayState() {
        state.setText(DrillWords.state(
                model.drillProperty().get(),
                model.answerProperty().get(),
                model.doneProperty().get(),
                model.working()));
    }

    private void look(DrillCharts.Look newLook) {
        look = newLook;
        refresh();
    }

    private void refresh() {
        Optional<Drill> drill = model.drillProperty().get();
        Optional<Answer> answer = model.answerProperty().get();
        boolean open = drill.isPresent() && answer.isEmpty();
        Optional<Offer> done = model.doneProperty().get();
        answers.values().forEach(action -> action.button().setDisable(!open));
        Nodes.showIf(faultPanel, answer.isEmpty());
        Nodes.showIf(nextPanel, answer.isPresent());
        for (int i = 0; i < nexts.size(); i++) {
            Button button = nexts.get(i).button();
            Optional<Offer> offer = i < drill.map(d -> d.offers().size()).orElse(0)
                    ? Optional.of(drill.get().offers().get(i))
                    : Optional.empty();
            button.setText(offer.map(o -> DrillWords.name(o.remedy())).orElse(""));
            button.setDisable(answer.isEmpty() || done.isPresent());
            button.pseudoClassStateChanged(SAID, done.isPresent() && offer.get().mends());
        }
        drill.ifPresent(d -> {
            readings.show(DrillCharts.readings(d, look));
            d.run().ifPresent(run -> {
                steering.show(DrillCharts.steering(run, look));
                way.show(new DrillCharts.Way(run));
            });
            Nodes.showIf(steering, d.run().isPresent());
            Nodes.showIf(way, d.run().isPresent());
        });
        robot.setText(drill.map(DrillWords::robot).orElse(""));
        sayState();
    }

    private void refreshScores() {
        scores.forEach((fault, label) -> label.setText(DrillWords.score(model.score(), fault)));
        total.setText(DrillWords.total(model.score()));
    }
}
