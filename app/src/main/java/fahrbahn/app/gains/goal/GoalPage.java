package fahrbahn.app.gains.goal;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Follow;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.field.ChoiceField;
import fahrbahn.app.state.Value;
import fahrbahn.core.tuning.race.CourseAdvice;
import fahrbahn.core.tuning.race.Goal;
import fahrbahn.words.Words;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** What is wanted on the table, what to take for it, and what becomes of each school's gains. */
public final class GoalPage {
    private static final List<String> HEADS =
            List.of("school", "Kp", "Kd", "finish this table", "RMS, mm", "lap, s", "");

    private final GoalModel model;
    private final Label verdict = Nodes.wrapped(GoalWords.ASK, "bench-result");
    private final VBox schools = Nodes.column();
    private final ProgressBar progress = new ProgressBar(0);

    public GoalPage(GoalModel model) {
        this.model = model;
        verdict.setId("goalVerdict");
        progress.setId("goalProgress");
    }

    public Pages.Page page() {
        Action find = new Action("findForGoal", "Find it", KeyCode.F, model::find);
        Action stop = new Action("stopFinding", "Stop", KeyCode.S, model.found()::stop);
        Action use = new Action("useGoal", "Use on the robot", KeyCode.U, model::use);
        ChoiceField<Goal> goal = new ChoiceField<>(
                "goal",
                "what for",
                "What counts first: to finish, to stop in the same place, or the least time.",
                Goal.values(),
                GoalWords::goal,
                model.goal()::set);
        goal.show(model.goal().get());
        stop.button().disableProperty().bind(model.found().computingProperty().not());
        progress.visibleProperty().bind(model.found().computingProperty());
        javafx.scene.layout.HBox row = Nodes.row(goal, find.button(), stop.button(), use.button(), progress);
        row.setAlignment(javafx.geometry.Pos.BOTTOM_LEFT);
        VBox body = Nodes.column(
                Nodes.panel("What for", row, verdict),
                Nodes.panel("Each method's gains at the set speed, on this table", schools));
        schools.getChildren().setAll(Nodes.label(GoalWords.ASK, "caption"));
        Follow.of(model.found(), () -> refresh(use), schools);
        return new Pages.Page(
                body,
                List.of(find, stop, use),
                nowNs -> progress.setProgress(model.found().progress()));
    }

    private void refresh(Action use) {
        Value<GoalModel.Found> value = model.found().value();
        Optional<GoalModel.Found> found = value.ready();
        use.button().setDisable(found.isEmpty());
        verdict.setText(found.map(GoalWords::verdict).orElseGet(() -> value.absence(GoalWords.ASK)));
        found.ifPresent(f -> schools.getChildren().setAll(table(f.advice())));
    }

    private static GridPane table(CourseAdvice advice) {
        GridPane grid = new GridPane();
        grid.getStyleClass().add("schools");
        for (int i = 0; i < HEADS.size(); i++) {
            grid.add(Nodes.cell(HEADS.get(i), "caption"), i, 0);
        }
        int row = 1;
        for (CourseAdvice.School school : advice.schools()) {
            grid.addRow(
                    row++,
                    Nodes.cell(school.gains().school().word()),
                    Nodes.cell(Words.number(school.gains().kp(), 3)),
                    Nodes.cell(Words.number(school.gains().kd(), 3)),
                    Nodes.cell(school.chance().completed() + " of "
                            + school.chance().runs()),
                    Nodes.cell(Double.isNaN(school.rmsMm()) ? "" : Words.number(school.rmsMm(), 2)),
                    Nodes.cell(Double.isNaN(school.lapS()) ? "" : Words.number(school.lapS(), 3)),
                    Nodes.cell(GoalWords.slip(school.gains().slip())));
        }
        return grid;
    }
}
