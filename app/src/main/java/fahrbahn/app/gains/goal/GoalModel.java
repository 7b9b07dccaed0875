package fahrbahn.app.gains.goal;

import fahrbahn.app.errand.RefusedException;
import fahrbahn.app.gains.choice.GainChoice;
import fahrbahn.app.season.Season;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.Parameter;
import fahrbahn.app.state.State;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.tuning.race.CourseAdvice;
import fahrbahn.core.tuning.race.CourseAdvisor;
import fahrbahn.core.tuning.race.Goal;
import java.util.Optional;
import java.util.function.Supplier;

/** Gains and speed for what is wanted on the table in hand, and what becomes of each school's gains there. */
public final class GoalModel {
    /** The same robot gets the same advice. */
    private static final long SEED = 1;

    private final GainChoice gains;
    private final Season season;
    private final Parameter<Goal> goal;
    private final Parameter<Setup> asked;
    private final Derived<Found> found;

    /** What was found, for whom and where. */
    public record Found(Setup setup, String table, Goal goal, CourseAdvice advice) {}

    /**
     * @param asked for, with the speed at which schools are tried
     * @param robot as it is now, gains and speed aside, which the advice does not rest on: it stays when it is used
     */
    private record Wanted(Setup asked, Setup robot, Ground ground, Goal goal) {
        public Found found(Job job) {
            return new Found(
                    asked, ground.name(), goal, CourseAdvisor.advise(asked, ground, goal, SEED, Workers.all(), job));
        }
    }

    public GoalModel(Season season, Supplier<Optional<Ground>> tableInHand, GainChoice gains, State state) {
        this.gains = gains;
        this.season = season;
        this.asked = state.parameter(season.setupOrGuess());
        this.goal = state.parameter(Goal.FINISH);
        this.found = state.derive(
                "Gains for the table",
                () -> new Wanted(
                        asked.get(),
                        GainChoice.withoutGainsAndSpeed(season.setupOrGuess()),
                        tableInHand
                                .get()
                                .orElseThrow(
                                        () -> new RefusedException("The selected table is not ready: see Table (2).")),
                        goal.get()),
                Wanted::found);
    }

    /** There when it was asked for, until robot, table or goal are others. */
    public Derived<Found> found() {
        return found;
    }

    /** Tries settings on the table in hand. */
    void find() {
        if (found.get().isEmpty()) {
            asked.set(season.setupOrGuess());
            found.again();
        }
    }

    Parameter<Goal> goal() {
        return goal;
    }

    /** Puts what was found on the robot: gains and base command. */
    void use() {
        found.get()
                .ifPresent(f -> gains.chooseWithSpeed(
                        f.advice().kp(), f.advice().kd(), f.advice().baseCommand()));
    }
}
