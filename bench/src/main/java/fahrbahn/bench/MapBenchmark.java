package fahrbahn.bench;

import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.maps.Axis;
import fahrbahn.core.maps.GainMap;
import fahrbahn.core.maps.MapPicture;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Track;
import java.util.concurrent.TimeUnit;
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

/** A map of 32 by 32 cells, 8 runs of a 12 s lap in each, as a coach sees it the first time and later. */
@State(Scope.Benchmark)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class MapBenchmark {
    private static final Axis KP = new Axis(0.05, 1.6, 32);
    private static final Axis KD = new Axis(0, 4, 32);

    /** When the table was painted, and how long after that the first picture was there; JMH sums both over the iterations. */
    @AuxCounters(AuxCounters.Type.EVENTS)
    @State(Scope.Thread)
    public static class FirstPicture {
        public long tableMs;
        public long firstPictureMs;
    }

    /** In a program that has just started, table not yet painted, nothing compiled. */
    @Benchmark
    @BenchmarkMode(Mode.SingleShotTime)
    @Warmup(iterations = 0)
    @Measurement(iterations = 1)
    @Fork(7)
    public MapPicture cold(FirstPicture first) {
        return drive(first);
    }

    /** When the program has been running for a while. */
    @Benchmark
    @BenchmarkMode(Mode.SingleShotTime)
    @Warmup(iterations = 3)
    @Measurement(iterations = 7)
    @Fork(2)
    public MapPicture warm(FirstPicture first) {
        return drive(first);
    }

    private static MapPicture drive(FirstPicture first) {
        long begun = System.nanoTime();
        Track track = Track.of(Yardstick.twelveSeconds(), Yardstick.setup());
        long painted = System.nanoTime();
        first.tableMs = (painted - begun) / 1_000_000;
        GainMap map = new GainMap(KP, KD, GainMap.Setting.KP_KD, Spread.NONE, 8, 1);
        map.sketch(track, Workers.of(2), Job.UNWATCHED);
        first.firstPictureMs = (System.nanoTime() - painted) / 1_000_000;
        return map.drive(track, Workers.of(2), Job.UNWATCHED, picture -> {});
    }
}
