package fahrbahn.app.robot;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.measure.CapturedPage;
import fahrbahn.app.words.CauseWords;
import fahrbahn.app.words.Words;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.knowledge.Knowledge;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.setup.Cause;
import fahrbahn.core.setup.SetupDifference;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Which constants are guesses, what each guess costs, and how each came about. */
final class GuessPage {
    private static final int MOST_CHANGES = 14;

    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("d MMM HH:mm").withZone(ZoneId.systemDefault());

    private final RobotModel model;
    private final VBox table = Nodes.column();
    private final VBox history =
            Nodes.column(Nodes.label("Nothing has been measured yet: see the page Bench.", "caption"));
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
        model.constantsProperty().addListener(o -> refresh());
        model.setupNowProperty().addListener(o -> recall());
        refresh();
        recall();
        VBox content = Nodes.column(
                Nodes.panel("What each number costs while it is not known better", lead, table),
                Nodes.panel("How it came about", history),
                Nodes.panel("What was changed on the robot, newest first", changes));
        ScrollPane scroll = new ScrollPane(content);
        scroll.setFitToWidth(true);
        return new Pages.Page("Guesses", scroll, List.of());
    }

    private void refresh() {
        List<Knowledge> states = model.constantsProperty().get();
        lead.setText(lead(states));
        GridPane grid = new GridPane();
        grid.getStyleClass().add("table");
        String[] heads = {"number", "value", "it is", "so it may wiggle from", "to know it better", ""};
        for (int i = 0; i < heads.length; i++) {
            grid.add(Nodes.wrapped(heads[i], "caption"), i, 0);
        }
        int row = 1;
        for (Knowledge state : states) {
            String origin = state.origin().word() + (state.stale().isEmpty() ? "" : ", stale");
            grid.add(Nodes.cell(state.constant().word(), "strong"), 0, row);
            grid.add(Nodes.cell(KnowledgeWords.value(state)), 1, row);
            grid.add(Nodes.cell(origin), 2, row);
            grid.add(Nodes.wrapped(KnowledgeWords.cost(state)), 3, row);
            grid.add(Nodes.wrapped(BenchCard.measuring(state.constant()).title()), 4, row);
            Button how = new Button("History");
            how.setId("history-" + state.constant().name());
            how.getStyleClass().add("small");
            how.setMinWidth(Region.USE_PREF_SIZE);
            how.setOnAction(e -> tell(state.constant()));
            grid.add(how, 5, row);
            row++;
        }
        table.getChildren().setAll(grid);
        if (told == null) {
            states.stream().filter(s -> s.fact().isPresent()).findFirst().ifPresent(s -> told = s.constant());
        }
        if (told != null) {
            tell(told);
        }
    }

    private static String lead(List<Knowledge> states) {
        if (states.isEmpty()) {
            return "A law without an error has no wiggle onset to judge guesses by.";
        }
        Knowledge worst = states.get(0);
        String share = Double.isInfinite(worst.cost().share())
                ? "leaves open whether any gain is stable"
                : "leaves " + Words.percent(worst.cost().share()) + " open in the gain at which it wiggles";
        return "The " + worst.constant().word() + " is " + worst.origin().word() + " and " + share
                + ", more than any other: "
                + BenchCard.measuring(worst.constant()).title() + " first.";
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
        double factor = KnowledgeWords.unitFactor(constant);
        for (int i = facts.size() - 1; i >= 0; i--) {
            Fact fact = facts.get(i);
            history.getChildren()
                    .add(new Label(TIME.format(fact.at()) + "   " + constant.word() + " "
                            + Words.number(factor * fact.measured().value()) + " \u00b1 "
                            + Words.number(factor * fact.measured().plusMinus(), 2) + where(fact)
                            + (fact.entries().isEmpty() ? "" : "   from " + String.join("; ", fact.entries()))));
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
