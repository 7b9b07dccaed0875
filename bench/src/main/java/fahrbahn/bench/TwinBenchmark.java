package fahrbahn.bench;

import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.LongAdder;
import org.openjdk.jmh.annotations.AuxCounters;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * Laps of 12 s on the yardstick's oval with its 400 gains in turn, as the plain C kernel drives them. Ticks per second come beside the
 * score; a billion over them is the time per tick in ns.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.Throughput)
@OutputTimeUnit(TimeUnit.SECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(2)
public class TwinBenchmark {
    private static final int LAPS = 400;

    private final Track track = Track.of(Yardstick.twelveSeconds(), Yardstick.setup());
    private final double periodS = Yardstick.setup().robot().loop().periodS();

    /** Counted by JMH beside the score. */
    @AuxCounters
    @State(Scope.Thread)
    public static class Counts {
        public long ticks;
        public long laps;
    }

    /** One thread. */
    @Benchmark
    public void oneThread(Counts counts) {
        laps(1, counts);
    }

    /** As many threads as two cores have. */
    @Benchmark
    public void twoThreads(Counts counts) {
        laps(2, counts);
    }

    private void laps(int threads, Counts counts) {
        LongAdder ticks = new LongAdder();
        Workers.of(threads)
                .run(
                        LAPS,
                        i -> {
                            RunResult result = lap(i);
                            ticks.add(Math.round(result.timeS() / periodS));
                        },
                        Job.UNWATCHED);
        counts.ticks += ticks.sum();
        counts.laps += LAPS;
    }

    private RunResult lap(int i) {
        Setup setup = track.setup();
        Setup gains = setup.withLaw(setup.law().withGains(0.2 + 0.0005 * i, 0, 0));
        return Twin.run(track, gains, Start.noisy(0, i));
    }
}
