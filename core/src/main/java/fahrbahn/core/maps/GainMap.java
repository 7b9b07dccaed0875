package fahrbahn.core.maps;

import fahrbahn.core.check.Check;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.Arrays;
import java.util.function.Consumer;

/**
 * How runs come out over two settings, by a few runs in each cell of a grid. All cells see the same starts, so that neighbours
 * differ by their settings and not by luck.
 *
 * @param setting puts the two values of a cell into a setup
 * @param runsPerCell 1 to 1000
 * @param seed of the starts; the same seed gives the same map on any number of threads
 */
public record GainMap(Axis x, Axis y, Setting setting, Spread spread, int runsPerCell, long seed) {
    /** The first pass drives every eighth cell: 9 cells of a usual map. */
    private static final int FIRST_STRIDE = 8;

    public GainMap {
        Check.between("runsPerCell", runsPerCell, 1, 1000);
    }

    /** Puts the two values of a cell into a setup. It may change gains, steps and base command only. */
    @FunctionalInterface
    public interface Setting {
        Setup at(Setup setup, double x, double y);

        /** Kp across, Kd up, per loop. */
        Setting KP_KD = (setup, kp, kd) ->
                setup.withLaw(setup.law().withGains(kp, setup.law().ki(), kd));

        /** Base command across, Kp up; Kd keeps its ratio to Kp. */
        Setting SPEED_KP = (setup, base, kp) -> {
            Law law = setup.law();
            double kd = law.kp() > 0 ? law.kd() / law.kp() * kp : law.kd();
            return setup.withLaw(law.withBaseCommand(base).withGains(kp, law.ki(), kd));
        };
    }

    /**
     * Every eighth cell once: a first picture.
     *
     * @param track may be seen coarser than that of the map
     * @throws fahrbahn.core.job.CancelledException when the job asked to stop
     */
    public MapPicture sketch(Track track, Workers workers, Job job) {
        Grid grid = new Grid(track, this);
        int[] cells = grid.cellsOfPass(FIRST_STRIDE);
        workers.run(cells.length, i -> grid.driveCell(cells[i], 1), job);
        return grid.picture(FIRST_STRIDE, 1);
    }

    /**
     * Drives the map, coarse to fine: every pass halves the distance between driven cells and yields a picture.
     *
     * @param pictures told of every pass, coarse ones first, on the caller's thread; the last is the complete map
     * @throws fahrbahn.core.job.CancelledException when the job asked to stop
     */
    public MapPicture drive(Track track, Workers workers, Job job, Consumer<MapPicture> pictures) {
        Grid grid = new Grid(track, this);
        int driven = 0;
        for (int stride = FIRST_STRIDE; stride > 1; stride /= 2) {
            driven += grid.pass(stride, driven, workers, job);
            pictures.accept(grid.picture(stride, runsPerCell));
        }
        grid.pass(1, driven, workers, job);
        MapPicture whole = grid.picture(1, runsPerCell);
        pictures.accept(whole);
        return whole;
    }

    /** The cells while they are driven. */
    private static final class Grid {
        private final Track track;
        private final GainMap map;
        private final Axis x;
        private final Axis y;
        private final Start[] starts;
        private final float[] completedShare;
        private final float[] rmsMm;
        private final float[] timeS;
        private final float[] reversalsPerM;

        Grid(Track track, GainMap map) {
            this.track = track;
            this.map = map;
            this.x = map.x();
            this.y = map.y();
            this.starts = new Start[map.runsPerCell()];
            Arrays.setAll(starts, i -> map.spread().draw(0, map.seed(), i));
            this.completedShare = new float[x.cells() * y.cells()];
            this.rmsMm = new float[completedShare.length];
            this.timeS = new float[completedShare.length];
            this.reversalsPerM = new float[completedShare.length];
        }

        /** @param before cells driven in passes before @return cells driven in this one */
        int pass(int stride, int before, Workers workers, Job job) {
            int[] cells = cellsOfPass(stride);
            workers.run(cells.length, i -> driveCell(cells[i], starts.length), part(job, before));
            return cells.length;
        }

        MapPicture picture(int stride, int runs) {
            return new MapPicture(
                    x,
                    y,
                    stride,
                    runs,
                    spreadOut(completedShare, stride),
                    spreadOut(rmsMm, stride),
                    spreadOut(timeS, stride),
                    spreadOut(reversalsPerM, stride));
        }

        /** The job as one pass sees it: cells driven before count as done, and all cells of the map are in all. */
        private Job part(Job job, int before) {
            return new Job() {
                @Override
                public boolean cancelled() {
                    return job.cancelled();
                }

                @Override
                public void progress(int done, int of) {
                    job.progress(before + done, completedShare.length);
                }
            };
        }

        /** Cells on this pass's grid that were on no coarser one. */
        int[] cellsOfPass(int stride) {
            int[] cells = new int[completedShare.length];
            int count = 0;
            for (int row = 0; row < y.cells(); row += stride) {
                for (int column = 0; column < x.cells(); column += stride) {
                    boolean before = stride < FIRST_STRIDE && row % (2 * stride) == 0 && column % (2 * stride) == 0;
                    if (!before) {
                        cells[count++] = row * x.cells() + column;
                    }
                }
            }
            return Arrays.copyOf(cells, count);
        }

        void driveCell(int cell, int runs) {
            Setup setup = map.setting().at(track.setup(), x.value(cell % x.cells()), y.value(cell / x.cells()));
            int completed = 0;
            double squares = 0;
            double time = 0;
            double reversals = 0;
            for (int run = 0; run < runs; run++) {
                RunResult result = Twin.run(track, setup, starts[run]);
                if (result.completed()) {
                    completed++;
                    squares += result.rmsMm() * result.rmsMm();
                    time += result.timeS();
                    reversals += result.ride().reversalsPerM();
                }
            }
            completedShare[cell] = (float) completed / runs;
            rmsMm[cell] = mean(Math.sqrt(squares / completed), completed);
            timeS[cell] = mean(time / completed, completed);
            reversalsPerM[cell] = mean(reversals / completed, completed);
        }

        private static float mean(double value, int completed) {
            return completed == 0 ? Float.NaN : (float) value;
        }

        private float[] spreadOut(float[] values, int stride) {
            float[] all = new float[values.length];
            for (int row = 0; row < y.cells(); row++) {
                for (int column = 0; column < x.cells(); column++) {
                    all[row * x.cells() + column] =
                            values[row / stride * stride * x.cells() + column / stride * stride];
                }
            }
            return all;
        }
    }
}
