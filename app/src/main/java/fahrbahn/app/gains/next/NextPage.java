package fahrbahn.app.gains.next;

import fahrbahn.app.chart.Plot;
import fahrbahn.app.gains.goal.GoalWords;
import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Follow;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.SeenActions;
import fahrbahn.app.kit.StopwatchBar;
import fahrbahn.app.kit.field.ChoiceField;
import fahrbahn.app.kit.field.NumberField;
import fahrbahn.app.state.Value;
import fahrbahn.core.belief.Belief;
import fahrbahn.core.benchmark.HiddenTable;
import fahrbahn.core.tuning.race.Goal;
import fahrbahn.pen.TraceChart;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** The next trial and why, a key for each thing that may be seen of it, what is believed of the robot, and the ladder so far. */
public final class NextPage {
    private static final double SIDE_WIDTH = 360;
    private static final double LADDER_HEIGHT = 230;
    private static final double RUN_HEIGHT = 150;

    private final NextModel model;
    private final Label reason = Nodes.wrapped(NextTrialWords.THINKING, "bench-result");
    private final Label ranges = Nodes.wrapped("", "reason");
    private final Label learnt = Nodes.wrapped("", "reason");
    private final Label ladder = Nodes.wrapped("", "reason");
    private final Label secrets = Nodes.wrapped("", "reason");
    private final Plot plot = new Plot("Kp, per loop", "Kd, per loop", "Trials so far");
    private final Plot run = new Plot("time, s", "mm off", "Practice robot's run");
    private final ProgressBar progress = new ProgressBar(0);
    private final NumberField left;
    private final NumberField along;
    private ChoiceField<Goal> goals;

    public NextPage(NextModel model) {
        this.model = model;
        left = new NumberField("trialsLeft", "trials left", "How many more trials there is time for.", model::leave);
        along = new NumberField(
                        "trialAlong",
                        "stopped at, mm",
                        "Where it stopped, mm beyond its mark, negative before it; empty if not measured.",
                        model::stopped)
                .orNothing();
        reason.setId("nextReason");
        ranges.setId("nextRanges");
        ladder.setId("nextLadder");
        learnt.setId("nextLearnt");
        secrets.setId("nextSecrets");
        progress.setId("nextProgress");
    }

    public Pages.Page page() {
        Action use = new Action("useNext", "Set it on the robot", KeyCode.U, model::use);
        Action count = new Action("countOther", "Laps or wiggles", KeyCode.Q, model::countOther);
        Action practise =
                new Action("practiseTrials", "Practice robot on / off", KeyCode.P, model.practice()::beginOrEnd);
        Action drive = new Action("driveHidden", "Practice robot drives it", KeyCode.V, model::driveHidden);
        Action reveal = new Action("revealHidden", "Show its numbers", KeyCode.Y, model.practice()::reveal);
        Action keep = new Action("keepLearnt", "Keep what trials showed", KeyCode.M, model::takeLearnt);
        List<Action> sights = SeenActions.withFinish("seen-", model::see);
        StopwatchBar watch = new StopwatchBar(model.watch(), count.button());
        ChoiceField<Goal> goal = new ChoiceField<>(
                "nextGoal",
                "what for",
                "What counts first: to finish, to stop in the same place, or the least time.",
                Goal.values(),
                GoalWords::goal,
                model::want);
        goals = goal;
        FlowPane wants = Nodes.flow(goal, left, along, use.button(), progress);
        wants.getStyleClass().add("by-bottom");
        VBox side = Nodes.column(
                Nodes.panel("Trials so far", plot, ladder),
                Nodes.panel("What the trials say about the robot", ranges, learnt, keep.button()));
        plot.setMinHeight(LADDER_HEIGHT);
        plot.setPrefHeight(LADDER_HEIGHT);
        side.setMinWidth(SIDE_WIDTH);
        side.setMaxWidth(SIDE_WIDTH);
        VBox main = Nodes.column(
                Nodes.panel("The next trial", reason, wants, Nodes.wrapped(NextTrialWords.CAUTION, "caution")),
                Nodes.panel("What did you see?", buttons(sights), watch, run),
                Nodes.panel(
                        "Practice robot; nothing goes into the log book",
                        Nodes.flow(practise.button(), drive.button(), reveal.button()),
                        secrets));
        run.setMinHeight(RUN_HEIGHT);
        run.setPrefHeight(RUN_HEIGHT);
        model.practice().hiddenProperty().addListener(o -> {
            practising(sights, drive, reveal, watch);
            refresh(use, keep);
        });
        practising(sights, drive, reveal, watch);
        Follow.of(model.answer(), () -> refresh(use, keep), ranges, learnt);
        progress.visibleProperty().bind(model.answer().computingProperty());
        progress.managedProperty().bind(model.answer().computingProperty());
        List<Action> actions = new ArrayList<>(List.of(use, count, keep, practise, drive, reveal));
        actions.addAll(sights);
        actions.addAll(watch.actions());
        return new Pages.Page(Nodes.row(Nodes.grow(main), side), actions, nowNs -> {
            model.answer().show();
            watch.frame();
            progress.setProgress(model.answer().progress());
        });
    }

    private static Node buttons(List<Action> actions) {
        return Nodes.flow(actions.stream().map(Action::button).toArray(Node[]::new));
    }

    private void practising(List<Action> sights, Action drive, Action reveal, Node watch) {
        Optional<Practice.HiddenRobot> hidden =
                model.practice().hiddenProperty().get();
        boolean toTell = hidden.isEmpty() || hidden.get().driven().isPresent();
        sights.forEach(action -> action.button().setDisable(!toTell));
        drive.button().setDisable(hidden.isEmpty() || hidden.get().driven().isPresent());
        reveal.button().setDisable(hidden.isEmpty());
        Nodes.showIf(watch, hidden.isEmpty());
        Optional<HiddenTable.Driven> driven = hidden.flatMap(Practice.HiddenRobot::driven);
        Nodes.showIf(run, driven.isPresent());
        driven.ifPresent(d -> run.show(new TraceChart(
                "Distance from the line",
                "mm off",
                "ink-left",
                d.trace().size(),
                hidden.get().believed().robot().loop().periodS(),
                d.trace()::offsetMm)));
        secrets.setText(hidden.map(NextTrialWords::practice).orElse(""));
        Nodes.showIf(secrets, hidden.isPresent());
    }

    private void refresh(Action use, Action keep) {
        Value<NextModel.Answer> value = model.answer().value();
        Optional<NextModel.Answer> answer = value.ready();
        boolean practising = model.practice().hiddenProperty().get().isPresent();
        left.show(model.left());
        goals.show(model.goal());
        along.show(model.alongMm());
        use.button().setDisable(answer.isEmpty() || practising);
        reason.setText(answer.map(a -> NextTrialWords.reason(a, practising))
                .orElseGet(() -> value.absence(NextTrialWords.THINKING)));
        ladder.setText(NextTrialWords.ladder(model.trials()));
        plot.show(new LadderChart(model.trials(), answer.flatMap(a -> a.next().next())));
        String told = NextTrialWords.learnt(model.learnt());
        Nodes.showIf(keep.button(), !told.isEmpty());
        answer.map(NextPage::ranges).ifPresent(there -> {
            ranges.setText(there);
            learnt.setText(told);
            Nodes.showIf(learnt, !told.isEmpty());
        });
    }

    private static String ranges(NextModel.Answer answer) {
        Belief now = answer.next().belief();
        Belief first = answer.first().belief();
        return String.join(
                "\n",
                "lag " + NextTrialWords.range(now.lagS(), first.lagS(), 1000, " ms"),
                "reading delay " + NextTrialWords.range(now.delayS(), first.delayS(), 1000, " ms"),
                "speed " + NextTrialWords.range(now.freeSpeedMmPerS(), first.freeSpeedMmPerS(), 1, " mm/s at full"),
                "readings " + NextTrialWords.range(now.slopeShare(), first.slopeShare(), 1, " x the sensor slope"));
    }
}
