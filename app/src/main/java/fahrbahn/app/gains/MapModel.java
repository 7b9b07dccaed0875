package fahrbahn.app.gains;

import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.season.Season;
import fahrbahn.core.check.Rounding;
import fahrbahn.core.maps.Axis;
import fahrbahn.core.maps.MapPicture;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** How runs on the table in hand come out over Kp and Kd, coarse first and then refined; and the point of the map in hand. */
public final class MapModel {
    /** From being shown until it is there to be seen. */
    private static final int FRAMES_TO_PAINT = 1;

    private final Season season;
    private final Supplier<Optional<Ground>> tableInHand;
    private final Errand<Picture> errand;
    private final MapSketch sketch;
    private final ReadOnlyObjectWrapper<Optional<Picture>> picture = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Layer> layer = new ReadOnlyObjectWrapper<>(Layer.CHANCE);
    private final ReadOnlyObjectWrapper<Point> inHand = new ReadOnlyObjectWrapper<>(new Point(-1, -1));
    private final GainsModel gains;
    private String problem = "";
    private Wanted wanted;
    private boolean begun;
    private int framesToPaint;

    private record Wanted(Setup setup, Optional<Ground> ground) {}

    /** A cell of the map; -1 before anybody chose one. */
    public record Point(int column, int row) {}

    /** What is shown of the map. */
    public enum Layer {
        CHANCE("chance to finish"),
        RMS("distance from the path"),
        LAP("lap time"),
        WIGGLE("changes of side per metre");

        private final String word;

        Layer(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }

        /** NaN where no run finished. */
        double of(MapPicture map, int column, int row) {
            return switch (this) {
                case CHANCE -> map.completedShare(column, row);
                case RMS -> map.rmsMm(column, row);
                case LAP -> map.timeS(column, row);
                case WIGGLE -> map.reversalsPerM(column, row);
            };
        }
    }

    /** @param stable by loop theory, row by row; empty where the law has none */
    public record Picture(String table, MapPicture map, Optional<boolean[]> stable) {
        boolean stable(int column, int row) {
            return stable.orElseThrow()[row * map.x().cells() + column];
        }
    }

    MapModel(Season season, Supplier<Optional<Ground>> tableInHand, GainsModel gains, Errands errands) {
        this.season = season;
        this.tableInHand = tableInHand;
        this.gains = gains;
        this.errand = errands.errand("The map");
        this.sketch = new MapSketch(errands);
    }

    public ReadOnlyObjectProperty<Optional<Picture>> pictureProperty() {
        return picture.getReadOnlyProperty();
    }

    ReadOnlyObjectProperty<Layer> layerProperty() {
        return layer.getReadOnlyProperty();
    }

    ReadOnlyObjectProperty<Point> inHandProperty() {
        return inHand.getReadOnlyProperty();
    }

    /** Why there is no map; empty when there is one, or one is on its way. */
    String problem() {
        return problem;
    }

    Law law() {
        return season.setupOrGuess().law();
    }

    double progress() {
        return errand.runningProperty().get() ? errand.progress() : 1;
    }

    void nextLayer() {
        layer.set(Layer.values()[(layer.get().ordinal() + 1) % Layer.values().length]);
    }

    /** Moves the point in hand by cells, from the gains as set when none was chosen. */
    void move(int columns, int rows) {
        picture.get().ifPresent(p -> {
            Point from = inHand.get().column() < 0 ? cell(p.map(), law().kp(), law().kd()) : inHand.get();
            choose(p.map(), from.column() + columns, from.row() + rows);
        });
    }

    /** Takes the point at these gains in hand. */
    void point(double kp, double kd) {
        picture.get().ifPresent(p -> {
            Point at = cell(p.map(), kp, kd);
            choose(p.map(), at.column(), at.row());
        });
    }

    private void choose(MapPicture map, int column, int row) {
        inHand.set(new Point(
                Math.max(0, Math.min(map.x().cells() - 1, column)),
                Math.max(0, Math.min(map.y().cells() - 1, row))));
    }

    static Point cell(MapPicture map, double kp, double kd) {
        return new Point(nearest(map.x(), kp), nearest(map.y(), kd));
    }

    private static int nearest(Axis axis, double value) {
        double cell = (value - axis.low()) / (axis.high() - axis.low()) * (axis.cells() - 1);
        return (int) Math.max(0, Math.min(axis.cells() - 1, Math.rint(cell)));
    }

    /** Gains of a point that was chosen. */
    record Gains(double kp, double kd) {}

    /** Of the point in hand; empty when none was chosen. */
    Optional<Gains> chosen() {
        Point point = inHand.get();
        return picture.get()
                .filter(p -> point.column() >= 0)
                .map(Picture::map)
                .map(m -> new Gains(
                        Rounding.significant(m.x().value(point.column()), 3),
                        Rounding.significant(m.y().value(point.row()), 3)));
    }

    /** Puts the gains of the point in hand on the robot. */
    void use() {
        chosen().ifPresent(point -> gains.choose(point.kp(), law().ki(), point.kd()));
    }

    /**
     * Somebody looks, at this frame: the map is driven, unless it has been. Gains alone do not change it. A sketch that is ready, or about to be, is shown
     * before the first run is begun, which would take the processor from the page that it is to be seen on.
     */
    public void look() {
        Setup setup = season.setupOrGuess();
        Wanted now = new Wanted(GainsModel.withoutGains(setup), tableInHand.get());
        if (!now.equals(wanted)) {
            wanted = now;
            begun = false;
            problem = "";
            picture.set(Optional.empty());
            inHand.set(new Point(-1, -1));
            errand.stop();
        }
        if (!begun && !sketched(setup, now.ground())) {
            begun = true;
            now.ground()
                    .ifPresentOrElse(
                            ground -> begin(setup, ground),
                            () -> problem = "The table in hand is not ready: Table (2) says what is missing.");
        }
    }

    /** Whether a sketch is waited for, shown or painted at this frame. */
    private boolean sketched(Setup setup, Optional<Ground> ground) {
        if (picture.get().isPresent()) {
            return framesToPaint-- > 0;
        }
        if (sketch.onItsWay(setup, ground)) {
            return true;
        }
        sketch.stop(); // the map itself drives what is left of that
        picture.set(sketch.of(setup, ground));
        framesToPaint = FRAMES_TO_PAINT;
        return picture.get().isPresent();
    }

    private void begin(Setup setup, Ground ground) {
        boolean sketched = picture.get().isPresent();
        errand.runInParts(
                (job, part) -> {
                    if (!sketched) {
                        part.accept(sketch.draw(setup, ground, job));
                    }
                    return sketch.drive(setup, ground, job, part);
                },
                shown -> picture.set(Optional.of(shown)),
                ending -> {
                    problem = Ending.words(ending);
                    if (!(ending instanceof Ending.Done<Picture>)) {
                        picture.set(Optional.empty());
                    }
                });
    }

    /** Somebody looks at the gains, so at the map soon. */
    void makeReady() {
        tableInHand.get().ifPresent(ground -> sketch.makeReady(season.setupOrGuess(), ground));
    }

    boolean gettingReady() {
        return sketch.gettingReady();
    }
}
