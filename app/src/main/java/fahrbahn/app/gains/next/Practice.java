package fahrbahn.app.gains.next;

import fahrbahn.app.season.Season;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.Parameter;
import fahrbahn.app.state.State;
import fahrbahn.core.belief.Candidate;
import fahrbahn.core.belief.Trial;
import fahrbahn.core.benchmark.HiddenTable;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.trials.Outcome.Seen;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;

/** A hidden robot to learn the next trial with: it drives, the learner says what was seen, and nothing of it goes into the log book. */
public final class Practice {
    private final Season season;
    private final Supplier<Optional<Ground>> tableInHand;
    private final Consumer<String> tell;
    private final Parameter<Optional<Hiding>> hiding;
    private final Parameter<Optional<Driving>> driving;
    private final Parameter<Optional<HiddenRobot>> hidden;

    /** A robot that was asked for. */
    private record Hiding(Setup believed, Ground ground, long seed) {}

    /** A run of it that was asked for. @param trial how many it has made before */
    private record Driving(HiddenTable table, Candidate setting, int trial) {}

    /**
     * A robot with secrets, and what has been seen of it.
     *
     * @param driven the run that is to be told what was seen of it
     * @param told the run told last, as it was called
     */
    public record HiddenRobot(
            HiddenTable table,
            Setup believed,
            List<Trial> trials,
            Optional<HiddenTable.Driven> driven,
            Optional<Told> told,
            boolean revealed) {
        private HiddenRobot with(HiddenTable.Driven run) {
            return new HiddenRobot(table, believed, trials, Optional.of(run), told, revealed);
        }

        private HiddenRobot seen(HiddenTable.Driven run, Seen as) {
            List<Trial> more = new ArrayList<>(trials);
            more.add(table.seenAs(run, as));
            return new HiddenRobot(
                    table,
                    believed,
                    List.copyOf(more),
                    Optional.empty(),
                    Optional.of(new Told(run.seen(), as)),
                    revealed);
        }

        private HiddenRobot open() {
            return new HiddenRobot(table, believed, trials, driven, told, true);
        }
    }

    /** What a run was, and what the learner called it. */
    record Told(Seen was, Seen called) {}

    public Practice(Season season, Supplier<Optional<Ground>> tableInHand, State state) {
        this.season = season;
        this.tableInHand = tableInHand;
        this.tell = state.errands().tell();
        this.hiding = state.press();
        this.driving = state.press();
        this.hidden = state.press();
        Derived<HiddenTable> table = state.derive(
                "Making a practice robot",
                () -> State.asked(hiding),
                (of, job) -> HiddenTable.of(of.believed(), of.ground(), 1, of.seed()));
        Derived<HiddenTable.Driven> driven = state.derive(
                "The practice robot",
                () -> State.asked(driving),
                (run, job) -> run.table().drive(run.setting()));
        follow(table, this::hide);
        follow(driven, run -> hidden.set(hidden.get().map(h -> h.with(run))));
    }

    private <V> void follow(Derived<V> derived, Consumer<V> take) {
        derived.valueProperty().addListener((o, was, is) -> {
            is.ready().ifPresent(take);
            if (!is.refusal().isEmpty()) {
                tell.accept(is.refusal());
            }
        });
        derived.eagerly();
    }

    private void hide(HiddenTable table) {
        Setup believed = hiding.get().orElseThrow().believed();
        hidden.set(Optional.of(new HiddenRobot(table, believed, List.of(), Optional.empty(), Optional.empty(), false)));
    }

    public ReadOnlyObjectProperty<Optional<HiddenRobot>> hiddenProperty() {
        return hidden.property();
    }

    Optional<HiddenRobot> robot() {
        return hidden.get();
    }

    /** A robot like the one in hand, with secrets, on the table in hand; again: back to the real one. */
    void beginOrEnd() {
        if (hidden.get().isPresent()) {
            hiding.reset();
            driving.reset();
            hidden.reset();
        } else {
            // Without a table the page says why there is no trial.
            tableInHand
                    .get()
                    .ifPresent(ground -> hiding.set(Optional.of(new Hiding(
                            season.setupOrGuess(), ground, season.now().toEpochMilli()))));
        }
    }

    /** It drives a setting; then somebody has to say what was seen. */
    void drive(Candidate setting) {
        hidden.get()
                .filter(robot -> robot.driven().isEmpty())
                .ifPresent(robot -> driving.set(Optional.of(
                        new Driving(robot.table(), setting, robot.trials().size()))));
    }

    void see(Seen seen) {
        hidden.get()
                .flatMap(HiddenRobot::driven)
                .ifPresent(run -> hidden.set(hidden.get().map(h -> h.seen(run, seen))));
    }

    void reveal() {
        hidden.set(hidden.get().map(HiddenRobot::open));
    }
}
