package fahrbahn.app.gains.map;

import fahrbahn.app.errand.RefusedException;
import fahrbahn.app.gains.choice.GainChoice;
import fahrbahn.app.season.Season;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.Parameter;
import fahrbahn.app.state.State;
import fahrbahn.app.state.Value;
import fahrbahn.core.check.Rounding;
import fahrbahn.core.job.Job;
import fahrbahn.core.maps.Axis;
import fahrbahn.core.maps.MapPicture;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;

/** How runs on the table in hand come out over Kp and Kd, coarse first and then refined; and the point of the map in hand. */
public final class MapModel {
    /** From being shown until it is there to be seen. */
    private static final int FRAMES_TO_PAINT = 2;

    private final Season season;
    private final Supplier<Optional<Ground>> tableInHand;
    private final Derived<Picture> sketch;
    private final Derived<Picture> map;
    private final Parameter<Layer> layer;
    private final Parameter<Point> inHand;
    private final GainChoice gains;
    private final MapFrame.Latest frames = new MapFrame.Latest();
    private Optional<Ground> madeReadyFor = Optional.empty();
    private int framesToPaint = FRAMES_TO_PAINT;

    /** What a map is of. Gains say how far it reaches, but alone do not make it another. @param sketched what is shown already */
    private record MapOf(Setup setup, Ground ground, Optional<Picture> sketched) {
        @Override
        public boolean equals(Object other) {
            return other instanceof MapOf that
                    && GainChoice.withoutGains(setup).equals(GainChoice.withoutGains(that.setup))
                    && ground.equals(that.ground);
        }

        @Override
        public int hashCode() {
            return ground.hashCode();
        }
    }

    /** A cell of the map; -1 before anybody chose one. */
    public record Point(int column, int row) {
        private static final Point NONE = new Point(-1, -1);
    }

    /** What is shown of the map. */
    public enum Layer {
        CHANCE("chance to finish"),
        RMS("distance from the line"),
        LAP("lap time"),
        WIGGLE("line crossings per metre");

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

    public MapModel(Season season, Supplier<Optional<Ground>> tableInHand, GainChoice gains, State state) {
        this.season = season;
        this.tableInHand = tableInHand;
        this.gains = gains;
        this.layer = state.parameter(Layer.CHANCE);
        this.inHand = state.parameter(Point.NONE);
        this.sketch = state.deriveInParts("The table for the map", this::now, this::makeReady);
        this.map = state.deriveInParts("The map", this::now, this::drive);
        sketch.valueProperty().addListener(o -> restart());
        map.valueProperty().addListener(o -> restart());
    }

    /** Of another map no point has been chosen, and it is not on screen yet. */
    private void restart() {
        if (Stream.of(sketch, map).allMatch(d -> d.valueProperty().get().shown().isEmpty())) {
            inHand.set(Point.NONE);
            framesToPaint = FRAMES_TO_PAINT;
        }
    }

    private MapOf now() {
        Ground ground = tableInHand.get().orElseThrow(() -> new RefusedException(MapWords.NO_TABLE));
        return new MapOf(
                season.setupOrGuess(), ground, sketch.valueProperty().get().shown());
    }

    /** On a table that it has not been made ready for: what is shown first, and the map's corners driven. Neither waits for that then. */
    private Picture makeReady(MapOf of, Job job, Consumer<Picture> part) {
        Picture first = sketched(of, job);
        part.accept(first);
        frames.of(of.setup()).driveCorners(of.ground(), job);
        return first;
    }

    private Picture sketched(MapOf of, Job job) {
        MapFrame frame = frames.of(of.setup());
        return shown(frame, of.ground(), frame.sketch(of.ground(), job));
    }

    /** The whole map, coarse cells first. */
    private Picture drive(MapOf of, Job job, Consumer<Picture> part) {
        part.accept(of.sketched().orElseGet(() -> sketched(of, job)));
        MapFrame frame = frames.of(of.setup());
        return shown(frame, of.ground(), frame.drive(of.ground(), job, m -> part.accept(shown(frame, of.ground(), m))));
    }

    private static Picture shown(MapFrame frame, Ground ground, MapPicture map) {
        return new Picture(ground.name(), map, frame.stable());
    }

    /** The map as far as it is driven. */
    Derived<Picture> map() {
        return map;
    }

    /** What is shown until the map itself is begun. */
    Derived<Picture> sketch() {
        return sketch;
    }

    /** What there is to be shown. */
    public Optional<Picture> picture() {
        return map.value().shown().or(() -> sketch.value().shown());
    }

    public ReadOnlyObjectProperty<Layer> layerProperty() {
        return layer.property();
    }

    ReadOnlyObjectProperty<Point> inHandProperty() {
        return inHand.property();
    }

    Law law() {
        return season.setupOrGuess().law();
    }

    double progress() {
        return map.computingProperty().get() ? map.progress() : 1;
    }

    void nextLayer() {
        layer.set(Layer.values()[(layer.get().ordinal() + 1) % Layer.values().length]);
    }

    /** Moves the point in hand by cells, from the gains as set when none was chosen. */
    void move(int columns, int rows) {
        picture().ifPresent(p -> {
            Point from = inHand.get().column() < 0 ? cell(p.map(), law().kp(), law().kd()) : inHand.get();
            choose(p.map(), from.column() + columns, from.row() + rows);
        });
    }

    /** Takes the point at these gains in hand. */
    void point(double kp, double kd) {
        picture().ifPresent(p -> {
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
    public record Gains(double kp, double kd) {}

    /** Of the point in hand; empty when none was chosen. */
    public Optional<Gains> chosen() {
        Point point = inHand.get();
        return picture()
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
     * Somebody looks, at this frame. A sketch that is ready, or about to be, is shown before the first run is begun, which would take the processor
     * from the page that it is to be seen on.
     */
    public void show() {
        if (map.value() instanceof Value.Unasked) {
            Value<Picture> first = sketch.value();
            boolean onItsWay = first instanceof Value.Computing && first.shown().isEmpty();
            if (onItsWay || first.shown().isPresent() && framesToPaint-- > 0) {
                return;
            }
        }
        map.show();
        if (map.value().shown().isPresent()) {
            sketch.hide(); // what is not ready by now is not worth the processor any more
        }
    }

    /** Somebody looks at the gains, so at the map soon. */
    public void makeReady() {
        if (!tableInHand.get().equals(madeReadyFor)) {
            madeReadyFor = tableInHand.get();
            sketch.show();
        }
    }

    public boolean gettingReady() {
        return sketch.computingProperty().get();
    }
}
