package fahrbahn.app.drive.detour;

import fahrbahn.app.season.Season;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.Document;
import fahrbahn.app.state.State;
import fahrbahn.core.detour.Approach;
import fahrbahn.core.detour.DetourChoice;
import fahrbahn.core.detour.PlannedMove;
import fahrbahn.core.detour.Task;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.ObstacleMove;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.table.Standing;
import fahrbahn.core.twin.Spread;
import fahrbahn.store.document.Kinds;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** Round an obstacle with the robot in hand: found by touch and by distance, each with its arc, its commands and its chance. */
public final class DetourModel {
    static final int RUNS = 400;

    /** The same robot gets the same answer. */
    private static final long SEED = 1;

    private final Season season;
    private final Document<Task> typed;
    private final Supplier<Optional<Ground>> ground;
    private final Derived<Answer> answer;
    private final ReadOnlyObjectWrapper<Boolean> byTouch = new ReadOnlyObjectWrapper<>(false);

    private record Obstacle(Setup setup, Task task) {}

    public record Answer(Setup setup, Task task, DetourChoice touch, DetourChoice distance) {
        public DetourChoice of(boolean byTouch) {
            return byTouch ? touch : distance;
        }

        Approach approach(boolean byTouch) {
            return of(byTouch).approach();
        }
    }

    public DetourModel(Season season, State state, Supplier<Optional<Ground>> ground) {
        this.season = season;
        this.typed = season.state().document(Kinds.DETOUR, () -> Task.usual(season.setupOrGuess()));
        this.ground = ground;
        this.answer = state.derive("The detours", this::obstacle, DetourModel::drive);
    }

    public Derived<Answer> answer() {
        return answer;
    }

    /** Whether the way after touch is drawn, or that after distance. */
    public ReadOnlyObjectProperty<Boolean> byTouchProperty() {
        return byTouch.getReadOnlyProperty();
    }

    void otherApproach() {
        byTouch.set(!byTouch.get());
    }

    /** The first obstacle on the table in hand. */
    Optional<Standing> standing() {
        return ground.get().flatMap(g -> Standing.on(g).stream().findFirst());
    }

    /** As it was typed, round the obstacle of the table in hand where there is one. */
    Task task() {
        Task task = typed.get();
        return standing().map(s -> task.withObstacleRadiusMm(s.radiusMm())).orElse(task);
    }

    /** @throws fahrbahn.core.check.BadValueException when a number of it cannot be */
    void change(UnaryOperator<Task> change) {
        typed.set("the way of " + season.robotName() + " round an obstacle", change.apply(task()));
    }

    /** The way that is drawn as moves of a program; empty without an answer, or without an arc. */
    Optional<ObstacleMove> shownMove() {
        boolean touch = byTouch.get();
        return answer.get()
                .flatMap(a ->
                        a.of(touch).best().map(trial -> PlannedMove.of(a.setup(), a.task(), a.approach(touch), trial)));
    }

    ReadOnlyObjectProperty<Setup> setupProperty() {
        return season.setup().property();
    }

    /** What the program of the robot in hand does about an obstacle. */
    Optional<ObstacleMove> moveOfProgram() {
        return season.setupOrGuess().law().options().obstacle();
    }

    /** The way that is drawn goes into the program. */
    void useShown() {
        shownMove().ifPresent(move -> program(Optional.of(move)));
    }

    void takeOut() {
        program(Optional.empty());
    }

    private void program(Optional<ObstacleMove> move) {
        season.changeSetup(setup ->
                setup.withLaw(setup.law().withOptions(setup.law().options().withObstacle(move))));
    }

    /** What its program does about obstacles is what is looked for here. */
    private Obstacle obstacle() {
        Setup setup = season.setupOrGuess();
        Setup plain =
                setup.withLaw(setup.law().withOptions(setup.law().options().withObstacle(Optional.empty())));
        return new Obstacle(plain, task());
    }

    private static Answer drive(Obstacle now, Job job) {
        List<DetourChoice> both = List.of(now.task().touch(), now.task().distance()).stream()
                .map(approach -> DetourChoice.of(
                        now.setup(), now.task(), approach, Spread.TYPICAL, RUNS, SEED, Workers.all(), job))
                .toList();
        return new Answer(now.setup(), now.task(), both.get(0), both.get(1));
    }
}
