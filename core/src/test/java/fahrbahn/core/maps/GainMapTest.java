package fahrbahn.core.maps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.job.CancelledException;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.loop.GainRay;
import fahrbahn.core.loop.LoopModel;
import fahrbahn.core.loop.SampledLoop;
import fahrbahn.core.loop.WiggleOnset;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.SeenTable;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class GainMapTest {
    private static final Setup SETUP = Setups.pair();
    private static final Track TRACK = Track.of(DemoCourses.mission(), SETUP);

    private static GainMap map(Axis kp, Axis kd) {
        return new GainMap(kp, kd, GainMap.Setting.KP_KD, Spread.NONE, 2, 3);
    }

    private static MapPicture drive(Axis kp, Axis kd, int threads, List<MapPicture> pictures, Job job) {
        return map(kp, kd).drive(TRACK, Workers.of(threads), job, pictures::add);
    }

    @Test
    void picturesComeCoarseFirstAndCellsOnceDrivenStay() {
        List<MapPicture> pictures = new ArrayList<>();
        MapPicture whole = drive(new Axis(0.02, 1.2, 20), new Axis(0, 2, 17), 2, pictures, Job.UNWATCHED);
        assertThat(pictures).extracting(MapPicture::stride).containsExactly(8, 4, 2, 1);
        assertThat(pictures.get(3)).isEqualTo(whole);
        for (MapPicture picture : pictures) {
            for (int row = 0; row < 17; row += picture.stride()) {
                for (int column = 0; column < 20; column += picture.stride()) {
                    assertThat(Double.compare(picture.rmsMm(column, row), whole.rmsMm(column, row)))
                            .isZero();
                }
            }
        }
        assertThat(pictures.get(0).completedShare(7, 7)).isEqualTo(whole.completedShare(0, 0));
    }

    /** One run a cell, on a table seen more coarsely: the same robots come round, at the same time. */
    @Test
    void aSketchIsLikeTheMapItComesBefore() {
        Axis kp = new Axis(0.02, 1.2, 20);
        Axis kd = new Axis(0, 2, 17);
        MapPicture whole = drive(kp, kd, 2, new ArrayList<>(), Job.UNWATCHED);
        Track coarse = Track.of(DemoCourses.mission(), SETUP, SeenTable.Cells.COARSE);
        MapPicture sketch = map(kp, kd).sketch(coarse, Workers.of(2), Job.UNWATCHED);
        assertThat(sketch.stride()).isEqualTo(8);
        assertThat(sketch.runsPerCell()).isOne();
        int compared = 0;
        for (int row = 0; row < 17; row += 8) {
            for (int column = 0; column < 20; column += 8) {
                if (whole.completedShare(column, row) == 1) {
                    compared++;
                    assertThat(sketch.completedShare(column, row)).isEqualTo(1);
                    assertThat(sketch.timeS(column, row) / whole.timeS(column, row))
                            .as("time at %d, %d", column, row)
                            .isCloseTo(1, within(0.02));
                }
            }
        }
        assertThat(compared).isGreaterThan(2);
        assertThat(sketch.completedShare(7, 7))
                .as("each stands for those after it")
                .isEqualTo(sketch.completedShare(0, 0));
    }

    @Test
    void theMapIsTheSameOnAnyNumberOfThreads() {
        MapPicture one = drive(new Axis(0.05, 0.8, 9), new Axis(0, 1, 5), 1, new ArrayList<>(), Job.UNWATCHED);
        assertThat(drive(new Axis(0.05, 0.8, 9), new Axis(0, 1, 5), 3, new ArrayList<>(), Job.UNWATCHED))
                .isEqualTo(one);
    }

    @Test
    void aCellIsTheMeanOfItsRuns() {
        Axis kp = new Axis(0.1, 0.4, 4);
        Axis kd = new Axis(0.2, 0.8, 3);
        MapPicture map = drive(kp, kd, 2, new ArrayList<>(), Job.UNWATCHED);
        Setup cell = SETUP.withLaw(SETUP.law().withGains(kp.value(2), 0, kd.value(1)));
        double squares = 0;
        for (int run = 0; run < 2; run++) {
            Start start = Spread.NONE.draw(0, 3, run);
            double rms = Twin.run(TRACK, cell, start).rmsMm();
            squares += rms * rms / 2;
        }
        assertThat(map.rmsMm(2, 1)).isCloseTo(Math.sqrt(squares), within(1e-5)); // kept as a float
    }

    /** With P alone, runs are smooth inside the lane and rough or lost beyond the onset and below the bend floor. */
    @Test
    void theMapAgreesWithTheTheoryAboutWhereItIsGood() {
        double onset = WiggleOnset.along(new SampledLoop(LoopModel.of(SETUP)), GainRay.ratio(1))
                .orElseThrow()
                .kp();
        Setup[] setups = {at(0.4 * onset), at(2.5 * onset), at(0.004 * onset)};
        double good = Twin.run(TRACK, setups[0], Start.calm(0)).rmsMm();
        assertThat(Twin.run(TRACK, setups[0], Start.calm(0)).completed()).isTrue();
        assertThat(Twin.run(TRACK, setups[1], Start.calm(0)).rmsMm()).isGreaterThan(1.5 * good);
        assertThat(Twin.run(TRACK, setups[2], Start.calm(0)).completed()).isFalse();
    }

    private static Setup at(double kp) {
        return SETUP.withLaw(SETUP.law().withGains(kp, 0, kp));
    }

    @Test
    void overSpeedTheFasterHalfNeedsMoreGainInTheBends() {
        Axis base = new Axis(20, 90, 8);
        Axis kp = new Axis(0.01, 0.5, 8);
        MapPicture map = new GainMap(base, kp, GainMap.Setting.SPEED_KP, Spread.NONE, 1, 1)
                .drive(TRACK, Workers.all(), Job.UNWATCHED, p -> {});
        int slow = 0;
        int fast = 0;
        for (int row = 0; row < 8; row++) {
            for (int column = 0; column < 4; column++) {
                slow += map.completedShare(column, row) == 1 ? 1 : 0;
                fast += map.completedShare(column + 4, row) == 1 ? 1 : 0;
            }
        }
        assertThat(slow).isGreaterThan(fast);
        assertThat(slow).isGreaterThan(16);
    }

    @Test
    void itIsStoppedWhenItsJobAsks() {
        List<MapPicture> pictures = new ArrayList<>();
        Job afterTheFirstPicture = new Job() {
            @Override
            public boolean cancelled() {
                return !pictures.isEmpty();
            }
        };
        assertThatThrownBy(() -> drive(new Axis(0.1, 1, 24), new Axis(0, 1, 24), 2, pictures, afterTheFirstPicture))
                .isInstanceOf(CancelledException.class);
        assertThat(pictures).hasSize(1);
    }

    @Test
    void impossibleAxesAndOtherSensorsAreRefused() {
        assertThatThrownBy(() -> new Axis(1, 1, 4)).hasMessageContaining("high is 1");
        assertThatThrownBy(() -> new Axis(Double.NaN, 1, 4)).hasMessageContaining("low is NaN");
        assertThatThrownBy(() -> new Axis(0, 1, 1)).hasMessageContaining("cells is 1");
        assertThatThrownBy(() -> Twin.run(TRACK, Setups.edge(), Start.calm(0))).hasMessageContaining("other sensors");
    }
}
