package fahrbahn.bench;

import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.review.LossFactors;
import fahrbahn.core.review.ManyRuns;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Track;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Two thousand varied runs of the practice loop with density, reasons and factors: in a program that has just started, and in one that runs. */
@State(Scope.Benchmark)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class ManyRunsBenchmark {
    private static final int RUNS = 2000;

    private static int drive() {
        Track track = Track.of(DemoCourses.workshopLoop(), Yardstick.setup());
        ManyRuns many = ManyRuns.drive(track, Spread.TYPICAL, RUNS, 1, Workers.all(), Job.UNWATCHED);
        return LossFactors.of(many.runs()).lost();
    }

    @Benchmark
    @BenchmarkMode(Mode.SingleShotTime)
    @Fork(5)
    @Warmup(iterations = 0)
    @Measurement(iterations = 1)
    public int justStarted() {
        return drive();
    }

    @Benchmark
    @BenchmarkMode(Mode.SingleShotTime)
    @Fork(1)
    @Warmup(iterations = 2)
    @Measurement(iterations = 5)
    public int running() {
        return drive();
    }
}
