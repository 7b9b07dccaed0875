package fahrbahn.core.stopping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.stopping.LogScatter.Kind;
import fahrbahn.core.stopping.LogScatter.Source;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class LogScatterTest {
    private static final Map<Cause, Double> TWIN = Map.of(Cause.BATTERY, 3.0, Cause.GRIP, 1.0);

    private static double[] unknown(int n) {
        double[] volts = new double[n];
        Arrays.fill(volts, Double.NaN);
        return volts;
    }

    private static double share(LogScatter scatter, Kind kind) {
        return scatter.sources().stream()
                .filter(s -> s.kind() == kind)
                .mapToDouble(Source::share)
                .sum();
    }

    private static double[] scattered(Random random, int n, double sd) {
        double[] along = new double[n];
        Arrays.setAll(along, i -> sd * random.nextGaussian());
        return along;
    }

    /** Whatever was logged, the shares add to the whole. */
    @Test
    void sharesAddToOne() {
        for (int seed = 0; seed < 200; seed++) {
            Random random = new Random(seed);
            double[] along = scattered(random, 5 + random.nextInt(30), 0.5 + 5 * random.nextDouble());
            along[0] += random.nextInt(3) * 5;
            double slope = random.nextInt(2) * random.nextDouble();
            Arrays.setAll(along, i -> along[i] + slope * i);
            LogScatter scatter =
                    LogScatter.of(along, unknown(along.length), TWIN).orElseThrow();
            assertThat(scatter.sources().stream().mapToDouble(Source::share).sum())
                    .as("seed %d", seed)
                    .isCloseTo(1, within(1e-9));
        }
    }

    /** A log as the twin has it is shared out as the twin scatters: three to one. */
    @Test
    void aLogLikeTheTwinIsSharedAsTheTwinIs() {
        int alike = 0;
        for (int seed = 0; seed < 200; seed++) {
            LogScatter scatter = LogScatter.of(scattered(new Random(seed), 20, 2), unknown(20), TWIN)
                    .orElseThrow();
            if (scatter.sources().size() == 2) {
                alike++;
                assertThat(scatter.sources().get(0).cause()).isEqualTo(Optional.of(Cause.BATTERY));
                assertThat(scatter.sources().get(0).share()).isCloseTo(0.75, within(1e-9));
                double all = scatter.scatterMm();
                assertThat(scatter.sources().get(0).withoutMm()).isCloseTo(all / 2, within(1e-9));
            }
        }
        // Three things are looked for at one in twenty each.
        assertThat(alike / 200.0).isGreaterThan(0.8);
    }

    /** A log that scatters three times as far has a cause that the twin does not know: eight ninths of it. */
    @Test
    void whatTheTwinDoesNotKnowIsTold() {
        double unknown = 0;
        for (int seed = 0; seed < 100; seed++) {
            unknown += share(
                    LogScatter.of(scattered(new Random(seed), 30, 6), unknown(30), TWIN)
                            .orElseThrow(),
                    Kind.UNKNOWN);
        }
        assertThat(unknown / 100).isCloseTo(8.0 / 9, within(0.04));
    }

    /** Planted: a first run 15 mm off among twenty that scatter 2 mm; it has 225/20 of some 15 mm^2. */
    @Test
    void anOddFirstRunIsTold() {
        double share = 0;
        for (int seed = 0; seed < 100; seed++) {
            double[] along = scattered(new Random(seed), 20, 2);
            along[0] += 15;
            share += share(LogScatter.of(along, unknown(20), TWIN).orElseThrow(), Kind.FIRST_RUN);
        }
        assertThat(share / 100).isCloseTo(225.0 / 20 / (225.0 / 20 + 4), within(0.05));
    }

    /** Planted: 3 mm a run over twenty, by order alone; told as volts when they were read and fall along. */
    @Test
    void driftIsToldByVoltsWhereTheyWereRead() {
        double[] along = scattered(new Random(3), 20, 2);
        Arrays.setAll(along, i -> along[i] + 3.0 * i);
        double[] volts = new double[20];
        Arrays.setAll(volts, i -> 8 - 0.02 * i);
        LogScatter byOrder = LogScatter.of(along, unknown(20), TWIN).orElseThrow();
        assertThat(byOrder.sources().get(0).kind()).isEqualTo(Kind.DRIFT);
        assertThat(byOrder.sources().get(0).share()).isGreaterThan(0.9);
        LogScatter byVolts = LogScatter.of(along, volts, TWIN).orElseThrow();
        assertThat(byVolts.sources().get(0).kind()).isEqualTo(Kind.VOLTS);
        assertThat(byVolts.sources()).noneMatch(s -> s.cause().equals(Optional.of(Cause.BATTERY)));
    }

    @Test
    void fewRunsTellNothing() {
        assertThat(LogScatter.of(new double[] {1, 2, 3, 4}, unknown(4), TWIN)).isEmpty();
        assertThat(LogScatter.of(new double[6], unknown(6), TWIN)).isEmpty();
    }
}
