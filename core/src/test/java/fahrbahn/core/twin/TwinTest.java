package fahrbahn.core.twin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.loop.GainRay;
import fahrbahn.core.loop.LoopModel;
import fahrbahn.core.loop.SampledLoop;
import fahrbahn.core.loop.WiggleOnset;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import fahrbahn.core.table.Course;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class TwinTest {
    static Stream<Setup> setups() {
        return Setups.drawn(23, 24).stream();
    }

    /**
     * The twin reproduces the linear theory: settled below the onset, a wiggle above it whose period at 2 % is the one
     * predicted. 3 % covers what the clamp of the error and the slower inner wheel add.
     */
    @ParameterizedTest
    @MethodSource("setups")
    void wigglesJustAboveTheOnsetAndSettlesBelow(Setup setup) {
        WiggleOnset onset = WiggleOnset.along(new SampledLoop(LoopModel.of(setup)), GainRay.PROPORTIONAL)
                .orElseThrow();
        RunResult above = straight(withKp(setup, 1.02 * onset.kp()));
        assertThat(above.wigglePeriodS()).as("%s", above).isPresent();
        assertThat(above.wigglePeriodS().getAsDouble() / onset.periodS()).isCloseTo(1, within(0.03));
        RunResult below = straight(withKp(setup, 0.9 * onset.kp()));
        assertThat(below.rmsMm()).isLessThan(0.2);
    }

    private static RunResult straight(Setup setup) {
        return new Twin(Track.straight(60 * setup.speedMmPerS() * 0.5, setup))
                .run(new Start(2, true, 1), TickSink.NONE);
    }

    private static Setup withKp(Setup setup, double kp) {
        return setup.withLaw(setup.law().withGains(kp, 0, 0));
    }

    @Test
    void sameSeedSameRunAndTwoRunsOfOneTwinAgree() {
        Twin twin = new Twin(Track.of(Course.workshopLoop(), Setups.pair()));
        RunResult first = twin.run(new Start(0, false, 9), TickSink.NONE);
        RunResult other = twin.run(new Start(0, false, 10), TickSink.NONE);
        assertThat(twin.run(new Start(0, false, 9), TickSink.NONE)).isEqualTo(first);
        assertThat(other).isNotEqualTo(first);
    }

    /** On a straight line the left edge is the mirror image of the right one, to what the raster's floats can tell. */
    @Test
    void mirroredRobotRidesTheMirroredPath() {
        Setup right = Setups.edge();
        Law law = right.law();
        Setup left = right.withLaw(new Law(
                law.kind(), Side.LEFT, law.scale(), law.target(), law.kp(), law.ki(), law.kd(), law.baseCommand()));
        Trace onRight = new Trace();
        Trace onLeft = new Trace();
        new Twin(Track.straight(800, right)).run(new Start(3, true, 1), onRight);
        new Twin(Track.straight(800, left)).run(new Start(-3, true, 1), onLeft);
        for (int i = 0; i < onRight.size(); i++) {
            assertThat(onLeft.offsetMm(i)).isCloseTo(-onRight.offsetMm(i), within(1e-4));
        }
    }

    @Test
    void softGainsLoseTheLineInABendAndSayWhere() {
        Setup soft = withKp(Setups.pair(), 0.002);
        RunResult result = new Twin(Track.of(Course.workshopLoop(), soft)).run(new Start(0, true, 1), TickSink.NONE);
        assertThat(result.end()).isEqualTo(RunResult.End.LEFT_THE_LINE);
        // The first bend begins after 1.4 m.
        assertThat(result.sMm()).isBetween(1400.0, 1900.0);
    }

    @Test
    void straightTakesTheTimeItsLengthAndSpeedSay() {
        Setup setup = Setups.pair();
        RunResult result = new Twin(Track.straight(1000, setup)).run(new Start(0, true, 1), TickSink.NONE);
        assertThat(result.completed()).isTrue();
        assertThat(result.timeS())
                .isCloseTo(
                        1000 / setup.speedMmPerS(), within(setup.robot().loop().periodS() * 1.01));
        assertThat(result.peakMm()).isLessThan(1e-2);
    }
}
