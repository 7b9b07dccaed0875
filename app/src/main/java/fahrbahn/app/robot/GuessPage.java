package fahrbahn.app.robot;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.SideBySide;
import fahrbahn.app.measure.CapturedPage;
import fahrbahn.app.robot.bench.BenchCard;
import fahrbahn.app.robot.bench.KnowledgeWords;
import fahrbahn.core.difference.Cause;
import fahrbahn.core.difference.SetupDifference;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.knowledge.Knowledge;
import fahrbahn.core.readings.Conditions;
import fahrbahn.words.CauseWords;
import fahrbahn.words.Words;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Which constants are guesses, what each guess costs, and how each came about. */
final class GuessPage {
    private static final int MOST_CHANGES = 14;

    /** The scale of the bars ends so far beyond the longest. */
    private static final double SCALE_BEYOND = 1.1;

    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("d MMM HH:mm").withZone(ZoneId.systemDefault());

    private final RobotModel model;
    private final VBox table = Nodes.column();
    private final VBox history = Nodes.column(Nodes.label("Nothing measured yet: see page Bench.", "caption"));
    private final VBox changes = Nodes.column();
    private final Label lead = Nodes.label("", "reason");
    private Constant told;

    GuessPage(RobotModel model) {
        this.model = model;
    }

    Pages.Page page() {
        lead.setId("guessLead");
        lead.setWrapText(true);
        lead.setMinHeight(Region.USE_PREF_SIZE);
        history.setId("factHistory");
        changes.setId("robotHistory");
        model.constants().lastProperty().addListener(o -> refresh());
        model.setupNowProperty().addListener(o -> recall());
        refresh();
        recall();
        VBox content = Nodes.column(
                Nodes.panel("Which number to measure next", lead, table),
                Nodes.grow(new SideBySide(
                        Nodes.panel("History", history),
                        Nodes.panel("Changes to the robot, newest first", changes),
                        0.5,
                        60)));
        return new Pages.Page(content, List.of());
    }

    private void refresh() {
        List<Knowledge> states = model.constants().lastProperty().get().orElse(List.of());
        lead.setText(lead(states));
        GridPane grid = new GridPane();
        grid.getStyleClass().add("table");
        String[] heads = {"number", "value", "it is", "wiggle limit may be", "", "measure it by", ""};
        for (int i = 0; i < heads.length; i++) {
            grid.add(Nodes.wrapped(heads[i], "caption"), i, 0);
        }
        double mostKp = states.stream()
                .mapToDouble(s -> s.cost().highKp())
                .filter(Double::isFinite)
                .max()
                .orElse(1);
        ColumnConstraints bars = new ColumnConstraints();
        bars.setHgrow(Priority.ALWAYS);
        ColumnConstraints plain = new ColumnConstraints();
        grid.getColumnConstraints().addAll(plain, plain, plain, plain, bars);
        int row = 1;
        for (Knowledge state : states) {
            String origin = state.origin().word() + (state.stale().isEmpty() ? "" : ", out of date");
            grid.add(Nodes.cell(state.constant().word(), "strong"), 0, row);
            grid.add(Nodes.cell(KnowledgeWords.value(state)), 1, row);
            grid.add(Nodes.cell(origin), 2, row);
            grid.add(Nodes.wrapped(KnowledgeWords.cost(state)), 3, row);
            String cost = KnowledgeWords.cost(state);
            grid.add(
                    new OnsetSpan(
                            state.cost(),
                            SCALE_BEYOND * mostKp,
                            state.constant().word() + ": " + cost),
                    4,
                    row);
            grid.add(Nodes.cell(BenchCard.measuring(state.constant()).title()), 5, row);
            Button how = new Button("History");
            how.setId("history-" + state.constant().name());
            how.getStyleClass().add("small");
            how.setMinWidth(Region.USE_PREF_SIZE);
            how.setOnAction(e -> tell(state.constant()));
            grid.add(how, 6, row);
            row++;
        }
        table.getChildren().setAll(grid);
        if (told == null) {
            newest(states);
        } else {
            tell(told);
        }
    }

    private static String lead(List<Knowledge> states) {
        if (states.isEmpty()) {
            return "This control has no wiggle limit.";
        }
        Knowledge worst = states.get(0);
        String share = Double.isInfinite(worst.cost().share())
                ? "makes it uncertain whether any Kp is stable"
                : "makes the wiggle limit uncertain by "
                        + Words.percent(worst.cost().share());
        return "The " + worst.constant().word() + " is " + worst.origin().word() + " and " + share
                + ": "
                + BenchCard.measuring(worst.constant()).title() + " first.";
    }

    /** As long as no history is asked for: where each number comes from. */
    private void newest(List<Knowledge> states) {
        List<Label> lines = states.stream()
                .flatMap(s -> s.fact().stream())
                .sorted(Comparator.comparing(Fact::at).reversed())
                .map(this::line)
                .toList();
        if (!lines.isEmpty()) {
            history.getChildren().setAll(lines);
        }
    }

    private Label line(Fact fact) {
        double factor = KnowledgeWords.unitFactor(fact.constant());
        return CapturedPage.wrapped(TIME.format(fact.at()) + "   "
                + fact.constant().word() + " "
                + Words.number(factor * fact.measured().value()) + " \u00b1 "
                + Words.number(factor * fact.measured().plusMinus(), 2) + " " + KnowledgeWords.unit(fact.constant())
                + where(fact) + (fact.entries().isEmpty() ? "" : "   from " + String.join("; ", fact.entries())));
    }

    private void tell(Constant constant) {
        told = constant;
        model.history(constant, facts -> {
            if (told == constant) {
                show(constant, facts);
            }
        });
    }

    private void show(Constant constant, List<Fact> facts) {
        history.getChildren().clear();
        if (facts.isEmpty()) {
            history.getChildren().add(Nodes.label("The " + constant.word() + " has never been measured.", "caption"));
        }
        for (int i = facts.size() - 1; i >= 0; i--) {
            history.getChildren().add(line(facts.get(i)));
        }
    }

    private void recall() {
        model.setupHistory(states -> {
            changes.getChildren().clear();
            for (int i = states.size() - 1; i > 0 && changes.getChildren().size() < MOST_CHANGES; i--) {
                List<Cause> differences = SetupDifference.between(
                        states.get(i - 1).getValue(), states.get(i).getValue());
                if (!differences.isEmpty()) {
                    changes.getChildren()
                            .add(CapturedPage.wrapped(TIME.format(states.get(i).getKey()) + "   "
                                    + differences.stream()
                                            .limit(4)
                                            .map(cause -> CauseWords.of(cause, v -> v))
                                            .collect(Collectors.joining(",  "))
                                    + (differences.size() > 4 ? ",  and " + (differences.size() - 4) + " more" : "")));
                }
            }
            if (changes.getChildren().isEmpty()) {
                changes.getChildren().add(Nodes.label("Nothing yet.", "caption"));
            }
        });
    }

    private String where(Fact fact) {
        Conditions then = fact.basis().conditions();
        String venue = then.venue().isEmpty() ? "" : ", " + model.venueName(then.venue());
        String wheels = then.wheels().isEmpty() ? "" : ", " + then.wheels();
        double volts = then.batteryV();
        return venue + wheels + (Double.isNaN(volts) ? "" : ", " + Words.number(volts) + " V");
    }
}
