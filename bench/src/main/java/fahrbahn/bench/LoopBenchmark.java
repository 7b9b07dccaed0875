package fahrbahn.bench;

import fahrbahn.core.colour.Channel;
import fahrbahn.core.loop.GainAdvice;
import fahrbahn.core.loop.GainAdvisor;
import fahrbahn.core.loop.Lane;
import fahrbahn.core.loop.LaneReport;
import fahrbahn.core.raster.SeenRaster;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.SeenTable;
import java.util.Optional;
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

/** What is worked out anew whenever the coach changes a number. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class LoopBenchmark {
    private final Setup setup = Yardstick.setup();
    private double sigmaMm = 3.5;

    @Benchmark
    public LaneReport report() {
        return LaneReport.of(setup);
    }

    @Benchmark
    public Lane laneOfSixtySpeeds() {
        return Lane.of(setup, 2, 60);
    }

    @Benchmark
    public Optional<GainAdvice> advice() {
        return GainAdvisor.advise(setup);
    }

    /** A table of 2400 by 1200 mm, painted and blurred; another spot each time, or it would be there already. */
    @Benchmark
    public SeenRaster table() {
        sigmaMm += 1e-6;
        return SeenTable.of(Yardstick.oval(), setup.line(), Channel.ALL, sigmaMm);
    }
}
