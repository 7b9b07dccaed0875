package fahrbahn.core.loop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trace.TickSink;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Spans of stable gains against the eigenvalues gain by gain, on robots whose sensors sit too near to the axle for Kp alone. */
class StableSpanTest {
    private static final int SETUPS = 120;
    private static final int GAINS = 240;

    private record Drawn(Setup setup, SampledLoop loop, double ratio) {}

    /** Below the least lead no gain is stable with Kp alone; with so much Kd for each Kp. */
    private static List<Drawn> drawn() {
        Random random = new Random(17);
        List<Drawn> drawn = new ArrayList<>();
        for (Setup setup : Setups.drawn(19, SETUPS)) {
            double lead =
                    (0.2 + 0.75 * random.nextDouble()) * LoopModel.of(setup).leastLeadMm();
            List<Sensor> near = setup.robot().sensors().stream()
                    .map(s -> s.withPlace(lead, s.leftMm()))
                    .toList();
            Setup short_ = setup.withRobot(setup.robot().withSensors(near));
            // Kd looks ahead by r*T: here by most of what the lead lacks, where small gains still wiggle.
            LoopModel model = LoopModel.of(short_);
            double lackingS = (model.leastLeadMm() - lead) / model.speedMmPerS();
            double ratio =
                    (0.7 + 0.35 * random.nextDouble()) * lackingS / model.loop().periodS();
            drawn.add(new Drawn(short_, new SampledLoop(model), ratio));
        }
        return drawn;
    }

    @Test
    void spansAreThoseOfTheEigenvaluesGainByGain() {
        int windows = 0;
        for (Drawn d : drawn()) {
            GainRay ray = GainRay.ratio(d.ratio());
            List<StableSpan> spans = StableSpan.along(d.loop(), ray);
            double full = d.setup().robot().drive().fullCommand();
            for (int i = 0; i < GAINS; i++) {
                double kp = full * 1e-6 * Math.pow(1e6, i / (GAINS - 1.0));
                double radius = d.loop().spectralRadius(kp, 0, ray.kdAt(kp));
                boolean inside = spans.stream().anyMatch(s -> s.holds(kp));
                boolean onBorder = spans.stream().anyMatch(s -> near(kp, s.fromKp()) || near(kp, s.toKp()));
                // Small gains move a double pole at 1 by less than its own rounding.
                if (!onBorder && Math.abs(radius - 1) > 1e-9) {
                    assertThat(radius < 1)
                            .as("%s Kp %s of %s, spans %s", d, kp, full, spans)
                            .isEqualTo(inside);
                }
            }
            boolean window = spans.stream().anyMatch(s -> s.fromKp() > 0);
            windows += window ? 1 : 0;
            if (window) {
                assertThat(WiggleOnset.along(d.loop(), ray))
                        .as("small gains wiggle")
                        .isEmpty();
            }
        }
        assertThat(windows).as("windows above unstable small gains").isGreaterThan(SETUPS / 8);
    }

    private static boolean near(double kp, double border) {
        return Math.abs(kp - border) < 1e-6 * border;
    }

    @Test
    void aSpanFromZeroIsTheWiggleOnset() {
        for (Setup setup : Setups.drawn(3, 20)) {
            SampledLoop loop = new SampledLoop(LoopModel.of(setup));
            StableSpan span = StableSpan.main(loop, GainRay.PROPORTIONAL).orElseThrow();
            assertThat(span.fromKp()).isZero();
            assertThat(span.toKp())
                    .isEqualTo(WiggleOnset.along(loop, GainRay.PROPORTIONAL)
                            .orElseThrow()
                            .kp());
            assertThat(span.margin(span.toKp() / 3)).isCloseTo(3, within(1e-12));
        }
    }

    /** In the twin swings grow below the window, die out in it and grow above it. */
    @Test
    void theTwinWigglesBelowTheWindowAndAboveItAndNotInside() {
        int driven = 0;
        for (Drawn d : drawn()) {
            StableSpan span =
                    StableSpan.main(d.loop(), GainRay.ratio(d.ratio())).orElse(null);
            if (span == null || span.fromKp() == 0 || span.toKp() < 2.2 * span.fromKp() || driven == 8) {
                continue;
            }
            driven++;
            // A swing of constant size has 0.7 of it in the root mean square; below the window it stays or grows,
            // inside it dies out.
            assertThat(run(d, span.fromKp() / 1.5).rmsMm()).as("below %s", span).isGreaterThan(SMALL_MM / 2);
            double inside = run(d, Math.sqrt(span.fromKp() * span.toKp())).rmsMm();
            assertThat(inside).as("inside %s", span).isLessThan(SMALL_MM / 10);
            // Above it the clamps keep a fast wiggle small; it is there all the same.
            assertThat(run(d, 1.1 * span.toKp()).rmsMm())
                    .as("above %s", span)
                    .isGreaterThan(4 * inside)
                    .isGreaterThan(SMALL_MM / 10);
        }
        assertThat(driven).isEqualTo(8);
    }

    private static final double SMALL_MM = 0.03;

    private static RunResult run(Drawn d, double kp) {
        Setup setup = d.setup().withLaw(d.setup().law().withGains(kp, 0, d.ratio() * kp));
        return Twin.run(Track.straight(10_000, setup), Start.calm(SMALL_MM), TickSink.NONE);
    }
}
