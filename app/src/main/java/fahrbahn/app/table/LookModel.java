package fahrbahn.app.table;

import fahrbahn.app.season.Background;
import fahrbahn.app.season.SeasonModel;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.mat.Mat;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Draft;
import fahrbahn.core.table.Pose;
import fahrbahn.core.twin.Lookout;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/** A robot put anywhere on the table, and what its sensors read there. */
public final class LookModel {
    private final SeasonModel season;
    private final ReadOnlyObjectProperty<Draft> draft;
    private final MatModel mat;
    private final Background.Slot slot;
    private final ReadOnlyObjectWrapper<Optional<Lookout>> lookout = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Pose> pose = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyStringWrapper problem = new ReadOnlyStringWrapper("");
    private boolean onMat;

    private record Attempt(Optional<Lookout> lookout, String problem) {}

    LookModel(SeasonModel season, ReadOnlyObjectProperty<Draft> draft, MatModel mat, Background background) {
        this.season = season;
        this.draft = draft;
        this.mat = mat;
        this.slot = background.new Slot();
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

    public boolean onMat() {
        return onMat;
    }

    public Setup setup() {
        return season.setupOrGuess();
    }

    /** Puts the robot on the mat, or back on the course. */
    public void putOn(boolean newOnMat) {
        onMat = newOnMat;
        look();
    }

    public void place(Pose newPose) {
        pose.set(newPose);
    }

    /** Puts it on the line's beginning. */
    public void toStart() {
        place(
                onMat
                        ? mat.tracedProperty()
                                .get()
                                .map(t -> t.points().get(0))
                                .orElse(new Pose(
                                        mat.importedProperty()
                                                .get()
                                                .map(m -> m.widthMm() / 2)
                                                .orElse(0.0),
                                        0,
                                        Math.PI / 2))
                        : draft.get().start());
    }

    /** Paints the table anew for the robot as it is. */
    public void look() {
        Setup setup = season.setupOrGuess();
        Supplier<Lookout> paint;
        if (onMat) {
            Optional<Mat> picked = mat.mat();
            if (picked.isEmpty()) {
                show(new Attempt(Optional.empty(), "Import a mat first, and point at its line and ground."));
                return;
            }
            paint = () -> Lookout.on(picked.get().raster(), setup);
        } else {
            Draft laid = draft.get();
            paint = () -> Lookout.on(laid.course(), setup);
        }
        slot.run("Painting the table", () -> attempt(paint), this::show);
    }

    private static Attempt attempt(Supplier<Lookout> paint) {
        try {
            return new Attempt(Optional.of(paint.get()), "");
        } catch (BadValueException cannot) {
            return new Attempt(Optional.empty(), cannot.getMessage() + ".");
        }
    }

    private void show(Attempt attempt) {
        lookout.set(attempt.lookout());
        problem.set(attempt.problem());
    }
}
