package fahrbahn.app.gains.next;

import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.season.Season;
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
import javafx.beans.property.ReadOnlyObjectWrapper;

/** A hidden robot to learn the next trial with: it drives, the learner says what was seen, and nothing of it goes into the log book. */
public final class Practice {
    private final Season season;
    private final Supplier<Optional<Ground>> tableInHand;
    private final Errand<HiddenRobot> hidingErrand;
    private final Errand<HiddenTable.Driven> drivingErrand;
    private final Consumer<String> told;
    private final ReadOnlyObjectWrapper<Optional<HiddenRobot>> hidden = new ReadOnlyObjectWrapper<>(Optional.empty());

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

    public Practice(Season season, Supplier<Optional<Ground>> tableInHand, Errands errands) {
        this.season = season;
        this.tableInHand = tableInHand;
        this.hidingErrand = errands.errand("Hiding a robot");
        this.drivingErrand = errands.errand("The hidden robot");
        this.told = errands.tell();
    }

    public ReadOnlyObjectProperty<Optional<HiddenRobot>> hiddenProperty() {
        return hidden.getReadOnlyProperty();
    }

    Optional<HiddenRobot> robot() {
        return hidden.get();
    }

    /** A robot like the one in hand, with secrets, on the table in hand; again: back to the real one. */
    void beginOrEnd() {
        if (hidden.get().isPresent()) {
            hidden.set(Optional.empty());
            return;
        }
        Optional<Ground> ground = tableInHand.get();
        if (ground.isEmpty()) {
            return; // the page says so already
        }
        Setup setup = season.setupOrGuess();
        long seed = season.now().toEpochMilli();
        hidingErrand.runToEnd(
                job -> new HiddenRobot(
                        HiddenTable.of(setup, ground.get(), 1, seed),
                        setup,
                        List.of(),
                        Optional.empty(),
                        Optional.empty(),
                        false),
                ending -> {
                    if (ending instanceof Ending.Done<HiddenRobot> done) {
                        hidden.set(Optional.of(done.result()));
                    } else if (!Ending.words(ending).isEmpty()) {
                        told.accept(Ending.words(ending));
                    }
                });
    }

    /** It drives a setting; then somebody has to say what was seen. */
    void drive(Candidate setting) {
        Optional<HiddenRobot> robot = hidden.get();
        if (robot.isEmpty() || robot.get().driven().isPresent()) {
            return;
        }
        drivingErrand.runToEnd(job -> robot.get().table().drive(setting), ending -> {
            if (ending instanceof Ending.Done<HiddenTable.Driven> done
                    && hidden.get().equals(robot)) {
                hidden.set(robot.map(h -> h.with(done.result())));
            }
        });
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
