package fahrbahn.app.drive;

import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.season.Season;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.stopping.ReturnTrial;
import fahrbahn.core.stopping.Rule;
import fahrbahn.core.stopping.StopPlan;
import fahrbahn.core.stopping.StopShares;
import fahrbahn.core.trials.Run;
import fahrbahn.core.trials.Sample;
import fahrbahn.core.twin.Spread;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.collections.ObservableList;

/** Every way to decide that it is there, on the same runs of the robot in hand; and what would make the one in hand better. */
final class StopModel {
    static final int RUNS = 400;

    /** The same robot gets the same answer. */
    private static final long SEED = 1;

    private final Season season;
    private final Errand<Answer> errand;
    private final ReadOnlyObjectWrapper<Optional<Answer>> answer = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Rule> inHand = new ReadOnlyObjectWrapper<>(Rule.TIMER);
    private Optional<Wanted> wanted = Optional.empty();
    private String problem = "";
    private final Errand<Back> backErrand;
    private final ReadOnlyObjectWrapper<Optional<Back>> back = new ReadOnlyObjectWrapper<>(Optional.empty());
    private Optional<WantedBack> wantedBack = Optional.empty();

    private record Wanted(Setup setup, StopPlan plan) {}

    private record WantedBack(Wanted of, Rule rule) {}

    /** There and back again, out by one rule. */
    record Back(Rule rule, double windowMm, ReturnTrial trial) {}

    record Answer(Setup setup, StopPlan plan, StopShares shares) {}

    StopModel(Season season, Errands errands) {
        this.season = season;
        this.errand = errands.errand("The stops");
        this.backErrand = errands.errand("The way back");
    }

    /** Empty as long as nobody looked, while it is driven, and when it cannot be. */
    ReadOnlyObjectProperty<Optional<Answer>> answerProperty() {
        return answer.getReadOnlyProperty();
    }

    /** By the rule in hand; empty as long as nobody looked, while it is driven, and when it cannot be. */
    ReadOnlyObjectProperty<Optional<Back>> backProperty() {
        return back.getReadOnlyProperty();
    }

    /** The rule of which it is told what would make it better. */
    ReadOnlyObjectProperty<Rule> inHandProperty() {
        return inHand.getReadOnlyProperty();
    }

    ReadOnlyBooleanProperty runningProperty() {
        return errand.runningProperty();
    }

    double progress() {
        return errand.progress();
    }

    /** Why there is no answer; empty when there is one, or one is on its way. */
    String problem() {
        return problem;
    }

    StopPlan plan() {
        return season.choices().stopProperty().get().orElse(StopPlan.USUAL);
    }

    /** @throws fahrbahn.core.check.BadValueException when a number of it cannot be */
    void change(UnaryOperator<StopPlan> change) {
        season.choices().planStop(change.apply(plan()));
    }

    void take(Rule rule) {
        inHand.set(rule);
    }

    /** The next rule of the list, or the one before. */
    void move(int by) {
        Rule[] all = Rule.values();
        inHand.set(all[Math.floorMod(inHand.get().ordinal() + by, all.length)]);
    }

    /** Somebody looks: the runs are driven, unless they have been. */
    void look() {
        Wanted now = new Wanted(season.setupOrGuess(), plan());
        lookBack(new WantedBack(now, inHand.get()));
        if (wanted.isPresent() && wanted.get().equals(now)) {
            return;
        }
        wanted = Optional.of(now);
        problem = "";
        answer.set(Optional.empty());
        errand.runToEnd(job -> drive(now, job), ending -> {
            problem = Ending.words(ending);
            answer.set(ending instanceof Ending.Done<Answer> done ? Optional.of(done.result()) : Optional.empty());
        });
    }

    private void lookBack(WantedBack now) {
        if (wantedBack.isPresent() && wantedBack.get().equals(now)) {
            return;
        }
        wantedBack = Optional.of(now);
        back.set(Optional.empty());
        backErrand.runToEnd(
                job -> driveBack(now, job),
                ending -> back.set(
                        ending instanceof Ending.Done<Back> done ? Optional.of(done.result()) : Optional.empty()));
    }

    private static Back driveBack(WantedBack now, Job job) {
        StopPlan plan = now.of().plan();
        ReturnTrial trial = ReturnTrial.of(
                now.of().setup(), plan.sensing(), now.rule(), Spread.TYPICAL, RUNS, SEED, Workers.all(), job);
        return new Back(now.rule(), plan.windowMm(), trial);
    }

    private static Answer drive(Wanted now, Job job) {
        StopShares shares =
                StopShares.of(now.setup(), now.plan().sensing(), Spread.TYPICAL, RUNS, SEED, Workers.all(), job);
        return new Answer(now.setup(), now.plan(), shares);
    }

    /** Runs of the log book, told when one comes or goes. */
    ObservableList<Run> runs() {
        return season.runs();
    }

    /** Where real runs of this robot on this table with the setting as it is stopped along the line. */
    Sample logged() {
        Basis now = season.basisNow();
        return Sample.of(season.runs().stream()
                .filter(run -> run.source() == Run.Source.TABLE
                        && run.basis().table().id().equals(now.table().id())
                        && now.setting().equals(Optional.of(run.setting())))
                .mapToDouble(run -> run.outcome().stop().alongMm())
                .toArray());
    }
}
