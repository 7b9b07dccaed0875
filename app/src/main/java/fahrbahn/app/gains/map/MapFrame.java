package fahrbahn.app.gains.map;

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
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.table.SeenTable;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Track;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * What a map of gains takes before its first run: how far it reaches, and where the loop is stable.
 *
 * @param kpTo beyond where it wiggles, and beyond Kp as set
 * @param stable by loop theory, row by row; empty where the law has none
 */
record MapFrame(Setup setup, double kpTo, double kdTo, Optional<boolean[]> stable) {
    /** In each direction. */
    static final int CELLS = 18;

    private static final int RUNS = 8;

    /** Driven beforehand in each direction. */
    private static final int CORNERS = 3;

    private static final int CORNERS_FIRST = 6;
    private static final double STRAIGHT_MM = 1500;

    /** The same robot gets the same map. */
    private static final long SEED = 1;

    /** Keeps the newest, so that who comes while it is being worked out waits for it and does not begin anew. Any thread. */
    static final class Latest {
        private MapFrame latest;

        synchronized MapFrame of(Setup setup) {
            if (latest == null || !latest.setup.equals(setup)) {
                latest = MapFrame.of(setup);
            }
            return latest;
        }
    }

    private static MapFrame of(Setup setup) {
        Optional<SampledLoop> loop = loop(setup);
        double onset = loop.flatMap(l -> WiggleOnset.along(l, GainRay.ratio(0)))
                .map(WiggleOnset::kp)
                .orElse(0.0);
        double kpTo = Rounding.significant(
                1.4 * Math.max(onset, 1.4 * Math.max(1e-6, setup.law().kp())), 2);
        double kdTo = Rounding.significant(Math.max(4 * kpTo, 2 * setup.law().kd()), 2);
        MapFrame bare = new MapFrame(setup, kpTo, kdTo, Optional.empty());
        return new MapFrame(setup, kpTo, kdTo, loop.map(bare::stable));
    }

    private static Optional<SampledLoop> loop(Setup setup) {
        try {
            return Optional.of(new SampledLoop(LoopModel.of(setup)));
        } catch (BadValueException noTheory) {
            return Optional.empty();
        }
    }

    private boolean[] stable(SampledLoop loop) {
        Axis kp = kp(CELLS);
        Axis kd = kd(CELLS);
        boolean[] stable = new boolean[CELLS * CELLS];
        for (int i = 0; i < stable.length; i++) {
            double radius = loop.spectralRadius(kp.value(i % CELLS), setup.law().ki(), kd.value(i / CELLS));
            stable[i] = radius < 1;
        }
        return stable;
    }

    private Axis kp(int cells) {
        return new Axis(kpTo / CELLS, kpTo, cells);
    }

    private Axis kd(int cells) {
        return new Axis(0, kdTo, cells);
    }

    /** Coarse cells, then all. */
    MapPicture drive(Ground ground, Job job, Consumer<MapPicture> part) {
        return map(CELLS).drive(Track.of(ground, setup), Workers.all(), job, part);
    }

    /** A few runs on a table seen coarsely, which is painted six times as soon. */
    MapPicture sketch(Ground ground, Job job) {
        return map(CELLS).sketch(Track.of(ground, setup, SeenTable.Cells.COARSE), Workers.of(1), job);
    }

    /**
     * The corners of the extent, on a straight line that is painted in a moment and on the table. The wildest runs are among them: code that has not seen such is
     * thrown away by the machine when they come, in the middle of a map, and takes a while to be as fast again.
     */
    void driveCorners(Ground ground, Job job) {
        map(CORNERS_FIRST).drive(Track.straight(STRAIGHT_MM, setup), Workers.of(1), job, map -> {});
        map(CORNERS).drive(Track.of(ground, setup), Workers.of(1), job, map -> {});
    }

    /** The same extent in any number of cells. */
    private GainMap map(int cells) {
        return new GainMap(kp(cells), kd(cells), GainMap.Setting.KP_KD, Spread.TYPICAL, RUNS, SEED);
    }
}
