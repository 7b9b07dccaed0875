package fahrbahn.app.table;

import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.live.LiveModel;
import fahrbahn.app.season.Season;
import fahrbahn.core.mat.Mat;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Draft;
import fahrbahn.core.table.Pose;
import fahrbahn.core.table.TableTop;
import fahrbahn.core.twin.Lookout;
import fahrbahn.link.BenchRobot;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/** A robot put anywhere on the table, and what its sensors read there. */
public final class LookModel {
    private final Season season;
    private final ReadOnlyObjectProperty<Draft> draft;
    private final MatModel mat;
    private final LiveModel live;
    private final Errand<Lookout> errand;
    private final ReadOnlyObjectWrapper<Optional<Lookout>> lookout = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Pose> pose = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyStringWrapper problem = new ReadOnlyStringWrapper("");

    /** @param live with the bench robot */
    LookModel(Season season, ReadOnlyObjectProperty<Draft> draft, MatModel mat, Errands errands, LiveModel live) {
        this.live = live;
        this.season = season;
        this.draft = draft;
        this.mat = mat;
        this.errand = errands.errand("Painting the table");
        pose.set(draft.get().start());
    }

    /** Where the robot stands. */
    public ReadOnlyObjectProperty<Pose> poseProperty() {
        return pose.getReadOnlyProperty();
    }

    /** The table as its sensors see it; empty until it has been painted. */
    public ReadOnlyObjectProperty<Optional<Lookout>> lookoutProperty() {
        return lookout.getReadOnlyProperty();
    }

    /** Why there is nothing to see, in words. */
    public ReadOnlyStringProperty problemProperty() {
        return problem.getReadOnlyProperty();
    }

    public Draft draft() {
        return draft.get();
    }

    public MatModel mat() {
        return mat;
    }

    public Setup setup() {
        return season.setupOrGuess();
    }

    public void place(Pose newPose) {
        pose.set(newPose);
    }

    /** Puts the bench robot where this one stands. */
    public void putBenchRobot() {
        live.putBenchRobot(pose.get());
    }

    /** Where the bench robot of this program stands on the table; empty when it is elsewhere. */
    public Optional<Pose> benchPose() {
        return Optional.ofNullable(live.benchRobot()).flatMap(BenchRobot::pose);
    }

    /** Puts it on the line's beginning. */
    public void toStart() {
        place(season.matProperty()
                .get()
                .map(sheet -> sheet.traced()
                        .map(line -> line.points().get(0))
                        .orElse(new Pose(sheet.widthMm() / 2, 0, Math.PI / 2)))
                .orElseGet(() -> draft.get().start()));
    }

    /** Paints the table in hand anew for the robot as it is. */
    public void look() {
        Setup setup = season.setupOrGuess();
        Supplier<TableTop> top = () -> draft.get().course();
        if (season.matProperty().get().isPresent()) {
            Optional<Mat> picked = mat.mat();
            if (picked.isEmpty()) {
                show(Optional.empty(), "Point at the mat's line and ground first, on the page Mat.");
                return;
            }
            top = picked::get;
        }
        Supplier<TableTop> on = top;
        errand.runToEnd(
                job -> Lookout.on(on.get(), setup),
                ending -> show(
                        ending instanceof Ending.Done<Lookout> done ? Optional.of(done.result()) : Optional.empty(),
                        Ending.words(ending)));
    }

    private void show(Optional<Lookout> newLookout, String newProblem) {
        lookout.set(newLookout);
        problem.set(newProblem);
    }
}
