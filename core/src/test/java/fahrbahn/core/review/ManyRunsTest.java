package fahrbahn.core.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.core.Setups;
import fahrbahn.core.job.CancelledException;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.twin.Ensemble;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import org.junit.jupiter.api.Test;

class ManyRunsTest {
    private static final Setup SOFT =
            Setups.pair().withLaw(Setups.pair().law().withGains(0.13, 0, 0.2).withBaseCommand(45));

    private static final Track LOOP = Track.of(DemoCourses.workshopLoop(), SOFT);

    @Test
    void theyAreTheEnsemblesRunsOnAnyNumberOfThreads() {
        ManyRuns one = ManyRuns.drive(LOOP, Spread.TYPICAL, 60, 4, Workers.of(1), Job.UNWATCHED);
        ManyRuns two = ManyRuns.drive(LOOP, Spread.TYPICAL, 60, 4, Workers.of(2), Job.UNWATCHED);
        assertThat(one.runs()).isEqualTo(two.runs());
        assertThat(one.runs().results())
                .isEqualTo(Ensemble.drive(LOOP, Spread.TYPICAL, 0, 60, 4, Workers.of(2), Job.UNWATCHED)
                        .results());
        assertThat(one.reasons()).isEqualTo(two.reasons());
        for (int row = 0; row < one.density().rows(); row++) {
            for (int column = 0; column < one.density().columns(); column++) {
                assertThat(one.density().passes(column, row))
                        .isEqualTo(two.density().passes(column, row));
            }
        }
    }

    /** A completed lap goes into as many cells as it is long, within what the raster of 5 mm makes of slants. */
    @Test
    void passesAddUpToTheWaysDriven() {
        ManyRuns runs = ManyRuns.drive(LOOP, Spread.TYPICAL, 30, 2, Workers.of(2), Job.UNWATCHED);
        double wayMm =
                runs.runs().results().stream().mapToDouble(RunResult::sMm).sum();
        long passes = 0;
        for (int row = 0; row < runs.density().rows(); row++) {
            for (int column = 0; column < runs.density().columns(); column++) {
                passes += runs.density().passes(column, row);
            }
        }
        // Along an axis one cell in 5 mm; on a slant up to the square root of 2 more; a tick jumps a corner now and
        // then.
        assertThat(passes * PathDensity.CELL_MM / wayMm).as("cells over way").isBetween(0.95, 1.45);
        assertThat(runs.density().most()).isBetween(runs.runs().completion().completed() / 4, 3 * 30);
    }

    @Test
    void lostRunsHaveAReasonThatALookAtThemGives() {
        ManyRuns runs = ManyRuns.drive(LOOP, Spread.TYPICAL, 80, 7, Workers.of(2), Job.UNWATCHED);
        assertThat(runs.lost()).as("lost ones").isNotEmpty();
        assertThat(runs.reasons().stream().mapToInt(ManyRuns.Reason::count).sum())
                .isEqualTo(Math.min(60, runs.lost().size()));
        ManyRuns.Reason first = runs.reasons().get(0);
        Trace trace = new Trace();
        RunResult again = Twin.run(LOOP, runs.runs().starts().get(first.run()), trace);
        assertThat(again).isEqualTo(runs.runs().results().get(first.run()));
        assertThat(Loss.of(LOOP, runs.runs().starts().get(first.run()), again, trace))
                .contains(first.example());
    }

    @Test
    void whatIsDoneWhenItIsStoppedIsKept() {
        Job afterTwelve = new Job() {
            private volatile int done;

            @Override
            public boolean cancelled() {
                return done >= 12;
            }

            @Override
            public void progress(int nowDone, int of) {
                done = Math.max(done, nowDone);
            }
        };
        ManyRuns runs = ManyRuns.drive(LOOP, Spread.TYPICAL, 5000, 4, Workers.of(2), afterTwelve);
        assertThat(runs.asked()).isEqualTo(5000);
        assertThat(runs.runs().results()).hasSizeBetween(12, 16);
    }

    @Test
    void nothingDoneIsStopped() {
        Job never = new Job() {
            @Override
            public boolean cancelled() {
                return true;
            }
        };
        assertThatThrownBy(() -> ManyRuns.drive(LOOP, Spread.TYPICAL, 10, 4, Workers.of(2), never))
                .isInstanceOf(CancelledException.class);
    }
}
