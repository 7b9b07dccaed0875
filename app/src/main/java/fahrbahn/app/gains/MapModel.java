package fahrbahn.app.gains;

import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.season.Season;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Rounding;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.loop.GainRay;
import fahrbahn.core.loop.LoopModel;
import fahrbahn.core.loop.SampledLoop;
import fahrbahn.core.loop.WiggleOnset;
import fahrbahn.core.maps.Axis;
import fahrbahn.core.maps.GainMap;
import fahrbahn.core.maps.MapPicture;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Track;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** How runs on the table in hand come out over Kp and Kd, coarse first and then refined; and the point of the map in hand. */
public final class MapModel {
    private static final int CELLS = 24;
    private static final int RUNS = 8;

    /** The same robot gets the same map. */
    private static final long SEED = 1;

    private final Season season;
    private final Supplier<Optional<Ground>> tableInHand;
    private final Errand<Picture> errand;
    private final Errand<MapPicture> painting;
    private final ReadOnlyObjectWrapper<Optional<Picture>> picture = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Layer> layer = new ReadOnlyObjectWrapper<>(Layer.CHANCE);
    private final ReadOnlyObjectWrapper<Point> inHand = new ReadOnlyObjectWrapper<>(new Point(-1, -1));
    private final GainsModel gains;
    private String problem = "";
    private Wanted wanted;
    private Optional<Ground> painted = Optional.empty();

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
        this.painting = errands.errand("The table for the map");
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

    /** Somebody looks: the map is driven, unless it has been. Gains alone do not change it. */
    void look() {
        Setup setup = season.setupOrGuess();
        Setup without = setup.withLaw(setup.law().withGains(0, setup.law().ki(), 0));
        Wanted now = new Wanted(without, tableInHand.get());
        if (now.equals(wanted)) {
            return;
        }
        wanted = now;
        problem = "";
        picture.set(Optional.empty());
        inHand.set(new Point(-1, -1));
        if (now.ground().isEmpty()) {
            problem = "The table in hand is not ready: Table (2) says what is missing.";
            errand.stop();
            return;
        }
        errand.runInParts(
                (job, part) -> drive(setup, now.ground().get(), job, part),
                shown -> picture.set(Optional.of(shown)),
                ending -> {
                    problem = Ending.words(ending);
                    if (!(ending instanceof Ending.Done<Picture>)) {
                        picture.set(Optional.empty());
                    }
                });
    }

    /**
     * Somebody looks at the gains, so at the map soon: the table is painted for it, as each of its starts sees it, by driving a few runs. The first
     * picture need not wait for that then.
     */
    void paintTable() {
        Setup setup = season.setupOrGuess();
        Optional<Ground> ground = tableInHand.get();
        if (ground.equals(painted) || ground.isEmpty()) {
            return;
        }
        painted = ground;
        double kp = Math.max(1e-6, setup.law().kp());
        Axis few = new Axis(kp / 2, kp, 2);
        painting.runToEnd(
                job -> GainMap.drive(
                        Track.of(ground.get(), setup),
                        few,
                        few,
                        GainMap.Setting.KP_KD,
                        Spread.TYPICAL,
                        RUNS,
                        SEED,
                        Workers.of(1),
                        job,
                        map -> {}),
                ending -> {}); // what keeps it from being driven the map itself tells
    }

    private static Picture drive(Setup setup, Ground ground, Job job, java.util.function.Consumer<Picture> part) {
        Optional<SampledLoop> loop = loop(setup);
        double onset = loop.flatMap(l -> WiggleOnset.along(l, GainRay.ratio(0)))
                .map(WiggleOnset::kp)
                .orElse(0.0);
        double kpTo = Rounding.significant(
                1.4 * Math.max(onset, 1.4 * Math.max(1e-6, setup.law().kp())), 2);
        double kdTo = Rounding.significant(Math.max(4 * kpTo, 2 * setup.law().kd()), 2);
        Axis kp = new Axis(kpTo / CELLS, kpTo, CELLS);
        Axis kd = new Axis(0, kdTo, CELLS);
        Optional<boolean[]> stable = loop.map(l -> stable(l, setup, kp, kd));
        MapPicture whole = GainMap.drive(
                Track.of(ground, setup),
                kp,
                kd,
                GainMap.Setting.KP_KD,
                Spread.TYPICAL,
                RUNS,
                SEED,
                Workers.all(),
                job,
                map -> part.accept(new Picture(ground.name(), map, stable)));
        return new Picture(ground.name(), whole, stable);
    }

    private static boolean[] stable(SampledLoop loop, Setup setup, Axis kp, Axis kd) {
        boolean[] stable = new boolean[kp.cells() * kd.cells()];
        for (int i = 0; i < stable.length; i++) {
            stable[i] =
                    loop.spectralRadius(kp.value(i % kp.cells()), setup.law().ki(), kd.value(i / kp.cells())) < 1;
        }
        return stable;
    }

    private static Optional<SampledLoop> loop(Setup setup) {
        try {
            return Optional.of(new SampledLoop(LoopModel.of(setup)));
        } catch (BadValueException noTheory) {
            return Optional.empty();
        }
    }
}
