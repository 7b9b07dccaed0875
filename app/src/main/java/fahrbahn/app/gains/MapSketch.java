package fahrbahn.app.gains;

import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.gains.MapModel.Picture;
import fahrbahn.core.job.Job;
import fahrbahn.core.maps.MapPicture;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import java.util.Optional;
import java.util.function.Consumer;

/** What a map shows first, made ready before anybody looks at it; and how a whole one is driven. Belongs to the interface thread, where nothing else is said. */
final class MapSketch {
    private final Errand<Picture> errand;
    private final MapFrame.Latest frames = new MapFrame.Latest();

    /** Gains included: they say how far a map reaches. */
    private Of of;

    private Optional<Picture> ready = Optional.empty();

    private record Of(Setup setup, Ground ground) {}

    MapSketch(Errands errands) {
        this.errand = errands.errand("The table for the map");
    }

    /**
     * On a table that it has not been made ready for: the sketch, the table painted as each of a map's starts sees it, and the map's corners driven. Neither the
     * first picture nor the whole one waits for that then.
     */
    void makeReady(Setup setup, Ground ground) {
        if (of != null && ground.equals(of.ground())) {
            return;
        }
        of = new Of(setup, ground);
        ready = Optional.empty();
        errand.runInParts(
                (job, part) -> {
                    Picture first = draw(setup, ground, job);
                    part.accept(first);
                    frames.of(setup).driveCorners(ground, job);
                    return first;
                },
                first -> ready = Optional.of(first),
                ending -> {}); // what keeps it from being driven the map itself tells
    }

    boolean gettingReady() {
        return errand.runningProperty().get();
    }

    /** What is not ready by now is not worth the processor any more. */
    void stop() {
        errand.stop();
    }

    /** Of this robot on this table, if that is what was made ready. */
    Optional<Picture> of(Setup setup, Optional<Ground> ground) {
        return is(setup, ground) ? ready : Optional.empty();
    }

    /** Whether it will be there in a moment. */
    boolean onItsWay(Setup setup, Optional<Ground> ground) {
        return is(setup, ground) && ready.isEmpty() && gettingReady();
    }

    private boolean is(Setup setup, Optional<Ground> ground) {
        return of != null && ground.equals(Optional.of(of.ground())) && setup.equals(of.setup());
    }

    /** Any thread. */
    Picture draw(Setup setup, Ground ground, Job job) {
        MapFrame frame = frames.of(setup);
        return shown(frame, ground, frame.sketch(ground, job));
    }

    /** The whole map, coarse cells first. Any thread. */
    Picture drive(Setup setup, Ground ground, Job job, Consumer<Picture> part) {
        MapFrame frame = frames.of(setup);
        return shown(frame, ground, frame.drive(ground, job, map -> part.accept(shown(frame, ground, map))));
    }

    private static Picture shown(MapFrame frame, Ground ground, MapPicture map) {
        return new Picture(ground.name(), map, frame.stable());
    }
}
