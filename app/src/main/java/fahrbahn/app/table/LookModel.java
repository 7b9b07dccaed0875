package fahrbahn.app.table;

import fahrbahn.app.errand.RefusedException;
import fahrbahn.app.live.LiveModel;
import fahrbahn.app.season.Season;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.State;
import fahrbahn.core.job.Job;
import fahrbahn.core.mat.Mat;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.TableTop;
import fahrbahn.core.sensing.Lookout;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Draft;
import fahrbahn.link.bench.BenchRobot;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** A robot put anywhere on the table, and what its sensors read there. */
public final class LookModel {
    private final Season season;
    private final ReadOnlyObjectProperty<Draft> draft;
    private final MatModel mat;
    private final LiveModel live;
    private final Derived<Lookout> lookout;
    private final ReadOnlyObjectWrapper<Pose> pose = new ReadOnlyObjectWrapper<>();

    private record Sight(Draft draft, Optional<Mat> mat, Setup setup) {
        Lookout painted(Job job) {
            TableTop top = mat.isPresent() ? mat.get() : draft.course();
            return Lookout.on(top, setup);
        }
    }

    /** @param live with the bench robot */
    LookModel(Season season, ReadOnlyObjectProperty<Draft> draft, MatModel mat, State state, LiveModel live) {
        this.live = live;
        this.season = season;
        this.draft = draft;
        this.mat = mat;
        this.lookout = state.derive("Painting the table", this::sight, Sight::painted);
        pose.set(draft.get().start());
    }

    /** Where the robot stands. */
    public ReadOnlyObjectProperty<Pose> poseProperty() {
        return pose.getReadOnlyProperty();
    }

    /** The table as its sensors see it. */
    public Derived<Lookout> lookout() {
        return lookout;
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
        place(season.mat()
                .keptProperty()
                .get()
                .map(sheet -> sheet.traced()
                        .map(line -> line.points().get(0))
                        .orElse(new Pose(sheet.widthMm() / 2, 0, Math.PI / 2)))
                .orElseGet(() -> draft.get().start()));
    }

    /** @throws RefusedException when there is nothing to see */
    private Sight sight() {
        Optional<Mat> picked = season.mat().kept().flatMap(sheet -> mat.mat());
        if (season.mat().kept().isPresent() && picked.isEmpty()) {
            throw new RefusedException("Pick the mat's line and background first, on page Mat.");
        }
        return new Sight(draft.get(), picked, season.setupOrGuess());
    }
}
