package fahrbahn.app.runs.compare;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Follow;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.SideBySide;
import fahrbahn.app.kit.field.ChoiceField;
import fahrbahn.app.kit.field.Fields;
import fahrbahn.app.state.Value;
import fahrbahn.core.statistics.Completion;
import fahrbahn.core.statistics.Sample;
import fahrbahn.core.trials.Group;
import fahrbahn.core.trials.GroupBy;
import fahrbahn.words.Words;
import java.util.List;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** Groups of runs, two of them compared: the answer, its evidence, and what keeps it from telling. */
public final class ComparePage {
    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");
    private static final double MAIN_SHARE = 0.55;
    private static final double LEAST_EM = 66;

    /** More groups are not compared by eye; grouping by something else has fewer. */
    static final int MOST_ROWS = 12;

    private final CompareModel model;
    private final GridPane rows = new GridPane();
    private final GroupsPicture picture = new GroupsPicture();
    private final Label verdict = Nodes.wrapped("", "bench-result");
    private final VBox evidence = Nodes.column();
    private final VBox warnings = Nodes.column();
    private final TextField typedA = typed("typedA", "A on paper", "12.3 12.1 x 12.9");
    private final TextField typedB = typed("typedB", "B on paper", "7 of 10");
    private final TextField typedScatter = new TextField();

    public ComparePage(CompareModel model) {
        this.model = model;
        verdict.setId("compareVerdict");
        evidence.setId("compareEvidence");
        warnings.setId("compareWarnings");
        typedScatter.setId("typedScatter");
        typedScatter.setPromptText("from log book");
        typedScatter.setPrefColumnCount(8);
        Fields.describe(
                typedScatter,
                "lap scatter, s",
                "Standard deviation of laps with one setting. Empty: from the log book.");
        rows.setId("compareGroups");
        rows.getStyleClass().add("schools");
    }

    private TextField typed(String id, String name, String prompt) {
        TextField field = new TextField();
        field.setId(id);
        field.setAccessibleText(name);
        field.setPromptText(prompt);
        field.setPrefColumnCount(16);
        Fields.describe(
                field,
                name,
                "Runs from paper: counts like 7 of 10 or 3 of 10 missed, or laps like 12.3 12.1 x 12.9 (x is lost).");
        return field;
    }

    public Pages.Page page() {
        ChoiceField<GroupBy> by = new ChoiceField<>(
                "compareBy",
                "grouped by",
                "What the runs of a group share.",
                GroupBy.values(),
                CompareWords::by,
                model::group);
        Action next = new Action("nextGrouping", "Group by the next thing", KeyCode.G, model::nextGrouping);
        Action up = new Action("groupUp", "Before", KeyCode.UP, () -> model.move(-1));
        Action down = new Action("groupDown", "Next", KeyCode.DOWN, () -> model.move(1));
        Action a = new Action("takeAsA", "Is A", KeyCode.A, model::takeAsA);
        Action b = new Action("takeAsB", "Is B", KeyCode.B, model::takeAsB);
        typedA.textProperty().addListener(o -> model.type(typedA.getText(), typedB.getText()));
        typedB.textProperty().addListener(o -> model.type(typedA.getText(), typedB.getText()));
        typedScatter.textProperty().addListener(o -> model.typeScatter(typedScatter.getText()));
        model.choiceProperty().addListener(o -> showGroups(by));
        Follow.of(model.groups(), () -> showGroups(by), rows);
        Follow.of(model.compared(), this::refresh, picture, evidence, warnings);
        VBox main = Nodes.column(
                Nodes.panel(
                        "Groups of the log book, the newest first",
                        Nodes.flow(by.inARow(), next.button()),
                        rows,
                        Nodes.flow(up.button(), down.button(), a.button(), b.button())),
                Nodes.panel(
                        "Or type runs from paper: counts, or laps in a row",
                        Nodes.flow(
                                Nodes.label("A", "caption"),
                                typedA,
                                Nodes.label("B", "caption"),
                                typedB,
                                Nodes.label("lap scatter, s", "caption"),
                                typedScatter)),
                Nodes.grow(Nodes.panel("Every run, with the mean", Nodes.grow(picture))));
        VBox side =
                Nodes.column(Nodes.panel("A against B", verdict, evidence), Nodes.panel("Check this first", warnings));
        return new Pages.Page(
                new SideBySide(main, side, MAIN_SHARE, LEAST_EM), List.of(next, up, down, a, b), nowNs -> model.show());
    }

    private void showGroups(ChoiceField<GroupBy> by) {
        by.show(model.by());
        model.groups().get().ifPresent(groups -> {
            rows.getChildren().clear();
            head();
            for (int i = 0; i < Math.min(MOST_ROWS, groups.all().size()); i++) {
                row(i, groups.all().get(i), groups.names().get(i));
            }
        });
    }

    private void refresh() {
        Value<CompareModel.Compared> value = model.compared().value();
        verdict.setText(value.ready().map(CompareWords::verdict).orElse(value.absence("Comparing the groups.")));
        if (value instanceof Value.Computing) {
            return; // what was there before is dimmed
        }
        Optional<CompareModel.Compared> compared = value.ready();
        picture.show(compared);
        fill(evidence, compared.map(CompareWords::evidence).orElse(List.of()));
        List<String> said =
                compared.map(new CompareWords(model.names())::warnings).orElse(List.of());
        fill(
                warnings,
                said.isEmpty()
                        ? compared.map(CompareWords::nothingElse).stream().toList()
                        : said);
    }

    private void head() {
        String[] titles = {"", "group", "finished", "time, s", "stop, mm"};
        for (int i = 0; i < titles.length; i++) {
            rows.add(Nodes.cell(titles[i], "caption"), i, 0);
        }
    }

    private void row(int index, GroupBy.Runs runs, String called) {
        CompareModel.Choice choice = model.choiceProperty().get();
        String which = index == choice.a() ? "A" : index == choice.b() ? "B" : "";
        Group group = runs.named("");
        Completion sure = group.completion();
        Button name = new Button(called);
        name.getStyleClass().add("chip");
        name.setFocusTraversable(false);
        name.pseudoClassStateChanged(CHOSEN, index == choice.row());
        name.setOnAction(e -> model.takeRow(index));
        rows.addRow(
                index + 1,
                Nodes.cell(which, "figure"),
                name,
                Nodes.cell(sure.completed() + " of " + sure.runs()),
                Nodes.cell(spread(group.timeS())),
                Nodes.cell(spread(group.alongMm())));
    }

    /** Mean and scatter. */
    private static String spread(Sample sample) {
        return switch (sample.n()) {
            case 0 -> "";
            case 1 -> Words.number(sample.mean());
            default -> Words.number(sample.mean()) + " ± " + Words.number(sample.sd(), 2);
        };
    }

    private static void fill(VBox box, List<String> said) {
        box.getChildren().setAll(said.stream().map(w -> Nodes.wrapped(w)).toList());
    }
}
