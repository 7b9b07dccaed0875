package fahrbahn.app.drive.stopping;

import fahrbahn.app.season.Season;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.Document;
import fahrbahn.app.state.Parameter;
import fahrbahn.app.state.State;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.statistics.Sample;
import fahrbahn.core.stopping.ReturnTrial;
import fahrbahn.core.stopping.Rule;
import fahrbahn.core.stopping.StopPlan;
import fahrbahn.core.stopping.StopShares;
import fahrbahn.core.trials.Run;
import fahrbahn.core.twin.Spread;
import fahrbahn.store.document.Kinds;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.collections.ObservableList;

/** Every way to decide that it is there, on the same runs of the robot in hand; and what would make the one in hand better. */
public final class StopModel {
    static final int RUNS = 400;

    /** The same robot gets the same answer. */
    private static final long SEED = 1;

    private final Season season;
    private final Document<StopPlan> plan;
    private final Derived<Answer> answer;
    private final Derived<Back> back;
    private final Parameter<Rule> inHand;

    private record Stops(Setup setup, StopPlan plan) {}

    private record Return(Stops of, Rule rule) {}

    /** There and back again, out by one rule. */
    record Back(Rule rule, double windowMm, ReturnTrial trial) {}

    public record Answer(Setup setup, StopPlan plan, StopShares shares) {}

    public StopModel(Season season, State state) {
        this.season = season;
        this.plan = season.state().document(Kinds.STOP, () -> StopPlan.USUAL);
        this.inHand = state.parameter(Rule.TIMER);
        this.answer = state.derive("The stops", this::stops, StopModel::drive);
        this.back = state.derive("The way back", () -> new Return(stops(), inHand.get()), StopModel::driveBack);
    }

    private Stops stops() {
        return new Stops(season.setupOrGuess(), plan());
    }

    public Derived<Answer> answer() {
        return answer;
    }

    /** Out by the rule in hand, and back again. */
    Derived<Back> back() {
        return back;
    }

    /** The rule of which it is told what would make it better. */
    public ReadOnlyObjectProperty<Rule> inHandProperty() {
        return inHand.property();
    }

    StopPlan plan() {
        return plan.get();
    }

    /** @throws fahrbahn.core.check.BadValueException when a number of it cannot be */
    void change(UnaryOperator<StopPlan> change) {
        plan.change("where " + season.robotName() + " is to stop", change);
    }

    void take(Rule rule) {
        inHand.set(rule);
    }

    /** The next rule of the list, or the one before. */
    void move(int by) {
        Rule[] all = Rule.values();
        inHand.set(all[Math.floorMod(inHand.get().ordinal() + by, all.length)]);
    }

    /** Somebody looks. */
    void show() {
        answer.show();
        back.show();
    }

    private static Back driveBack(Return now, Job job) {
        StopPlan plan = now.of().plan();
        ReturnTrial trial = ReturnTrial.of(
                now.of().setup(), plan.sensing(), now.rule(), Spread.TYPICAL, RUNS, SEED, Workers.all(), job);
        return new Back(now.rule(), plan.windowMm(), trial);
    }

    private static Answer drive(Stops now, Job job) {
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
