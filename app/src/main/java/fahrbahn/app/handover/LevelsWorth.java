package fahrbahn.app.handover;

import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.review.TwoOnOneTable;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Track;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** What levels captured in a hall are worth there, against those that stand in the program: the twin drives both. */
final class LevelsWorth {
    private static final int PAIRS = 100;

    /** The same numbers get the same judgement. */
    private static final long SEED = 1;

    private final Consumer<String> tell;
    private final Errand<TwoOnOneTable> errand;
    private final ReadOnlyObjectWrapper<Optional<TwoOnOneTable>> found = new ReadOnlyObjectWrapper<>(Optional.empty());
    private Judged judged;

    /** What was judged. */
    private record Judged(Setup robot, Setup program, Ground ground) {}

    LevelsWorth(Errands errands) {
        this.tell = errands.tell();
        this.errand = errands.errand("What other levels are worth here");
    }

    /** Empty until the twin has driven both. */
    ReadOnlyObjectProperty<Optional<TwoOnOneTable>> foundProperty() {
        return found.getReadOnlyProperty();
    }

    boolean working() {
        return errand.runningProperty().get();
    }

    /** Drives both, unless they are those that were driven last. @param robot with its levels as they are here */
    void judge(Setup robot, Setup program, Ground ground) {
        Judged now = new Judged(robot, program, ground);
        if (now.equals(judged)) {
            return;
        }
        judged = now;
        found.set(Optional.empty());
        errand.runToEnd(job -> drive(now, job), ending -> {
            if (ending instanceof Ending.Done<TwoOnOneTable> done) {
                found.set(Optional.of(done.result()));
            } else if (!Ending.words(ending).isEmpty()) {
                tell.accept(Ending.words(ending));
            }
        });
    }

    /** Of these minutes, or of this robot, nothing yet. */
    void forget() {
        errand.stop();
        judged = null;
        found.set(Optional.empty());
    }

    private static TwoOnOneTable drive(Judged now, Job job) {
        return TwoOnOneTable.programmed(
                Track.of(now.ground(), now.robot()), now.program(), Spread.TYPICAL, PAIRS, SEED, Workers.all(), job);
    }
}
