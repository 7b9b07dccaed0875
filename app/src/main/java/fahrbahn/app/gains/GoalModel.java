package fahrbahn.app.gains;

import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.season.Season;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.tuning.CourseAdvice;
import fahrbahn.core.tuning.CourseAdvisor;
import fahrbahn.core.tuning.Goal;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** Gains and speed for what is wanted on the table in hand, and what becomes of each school's gains there. */
public final class GoalModel {
    /** The same robot gets the same advice. */
    private static final long SEED = 1;

    private final Season season;
    private final Supplier<Optional<Ground>> tableInHand;
    private final GainsModel gains;
    private final Errand<Found> errand;
    private final ReadOnlyObjectWrapper<Optional<Found>> found = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Goal> goal = new ReadOnlyObjectWrapper<>(Goal.FINISH);
    private String problem = "";

    /** What was found, for whom and where. */
    public record Found(Setup setup, String table, Goal goal, CourseAdvice advice) {}

    GoalModel(Season season, Supplier<Optional<Ground>> tableInHand, GainsModel gains, Errands errands) {
        this.season = season;
        this.tableInHand = tableInHand;
        this.gains = gains;
        this.errand = errands.errand("Gains for the table");
    }

    public ReadOnlyObjectProperty<Optional<Found>> foundProperty() {
        return found.getReadOnlyProperty();
    }

    ReadOnlyObjectProperty<Goal> goalProperty() {
        return goal.getReadOnlyProperty();
    }

    ReadOnlyBooleanProperty tryingProperty() {
        return errand.runningProperty();
    }

    double progress() {
        return errand.progress();
    }

    String problem() {
        return problem;
    }

    /** Whether what was found is of the robot as it is, gains and speed aside. */
    boolean holds(Found result) {
        return GainsModel.withoutGainsAndSpeed(season.setupOrGuess())
                        .equals(GainsModel.withoutGainsAndSpeed(result.setup()))
                && goal.get() == result.goal();
    }

    void want(Goal newGoal) {
        goal.set(newGoal);
    }

    /** Tries settings on the table in hand. */
    void find() {
        Optional<Ground> ground = tableInHand.get();
        if (ground.isEmpty()) {
            problem = "The table in hand is not ready: Table (2) says what is missing.";
            found.set(Optional.empty());
            return;
        }
        Setup setup = season.setupOrGuess();
        Goal wanted = goal.get();
        problem = "";
        errand.runToEnd(
                job -> new Found(
                        setup,
                        ground.get().name(),
                        wanted,
                        CourseAdvisor.advise(setup, ground.get(), wanted, SEED, Workers.all(), job)),
                ending -> {
                    problem = Ending.words(ending);
                    found.set(
                            ending instanceof Ending.Done<Found> done ? Optional.of(done.result()) : Optional.empty());
                });
    }

    void stop() {
        errand.stop();
    }

    /** Puts what was found on the robot: gains and base command. */
    void use() {
        found.get()
                .filter(this::holds)
                .ifPresent(f -> gains.chooseWithSpeed(
                        f.advice().kp(), f.advice().kd(), f.advice().baseCommand()));
    }
}
