package fahrbahn.core.twin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Repeated;
import fahrbahn.core.Setups;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.trace.TickSink;
import fahrbahn.core.trace.Trace;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class TwinTest extends Repeated {
    private static Setup withKp(Setup setup, double kp) {
        return setup.withLaw(setup.law().withGains(kp, 0, 0));
    }

    @Test
    void sameSeedSameRunAndTwoRunsOfOneTwinAgree() {
        Track track = Track.of(DemoCourses.workshopLoop(), Setups.pair());
        RunResult first = Twin.run(track, Start.noisy(0, 9), TickSink.NONE);
        RunResult other = Twin.run(track, Start.noisy(0, 10), TickSink.NONE);
        assertThat(Twin.run(track, Start.noisy(0, 9), TickSink.NONE)).isEqualTo(first);
        assertThat(other).isNotEqualTo(first);
    }

    /** On a straight line the left edge is the mirror image of the right one, to what the raster's floats can tell. */
    @Test
    void mirroredRobotRidesTheMirroredPath() {
        Setup right = Setups.edge();
        Law law = right.law();
        Setup left = right.withLaw(new Law(
                law.signal(), Side.LEFT, law.scale(), law.target(), law.kp(), law.ki(), law.kd(), law.baseCommand()));
        Trace onRight = new Trace();
        Trace onLeft = new Trace();
        Twin.run(Track.straight(800, right), Start.calm(3), onRight);
        Twin.run(Track.straight(800, left), Start.calm(-3), onLeft);
        for (int i = 0; i < onRight.size(); i++) {
            assertThat(onLeft.offsetMm(i)).isCloseTo(-onRight.offsetMm(i), within(1e-4));
        }
    }

    @Test
    void softGainsLoseTheLineInABendAndSayWhere() {
        Setup soft = withKp(Setups.pair(), 0.002);
        RunResult result = Twin.run(Track.of(DemoCourses.workshopLoop(), soft), Start.calm(0), TickSink.NONE);
        assertThat(result.end()).isEqualTo(RunResult.End.LEFT_THE_LINE);
        // The first bend begins after 1.4 m.
        assertThat(result.sMm()).isBetween(1400.0, 1900.0);
    }

    @Test
    void straightTakesTheTimeItsLengthAndSpeedSay() {
        Setup setup = Setups.pair();
        RunResult result = Twin.run(Track.straight(1000, setup), Start.calm(0), TickSink.NONE);
        assertThat(result.completed()).isTrue();
        assertThat(result.timeS())
                .isCloseTo(
                        1000 / setup.speedMmPerS(), within(setup.robot().loop().periodS() * 1.01));
        assertThat(result.peakMm()).isLessThan(1e-2);
    }

    /** The shortest of the built-in courses; in the proof all four. */
    IntStream courses() {
        return IntStream.range(times(3, 0), 4);
    }

    /** A spot of a millimetre drives every built-in course, and reads its line as the closed form says. */
    @ParameterizedTest
    @MethodSource("courses")
    void aSpotOfAMillimetreDrivesTheBuiltInCourses(int which) {
        Course course = DemoCourses.all().get(which);
        Setup pair = Setups.pair();
        Setup narrow = pair.withRobot(pair.robot()
                        .withSensors(pair.robot().sensors().stream()
                                .map(x -> x.withSpotSigmaMm(1))
                                .toList()))
                .withLine(new Line(24, Polarity.DARK_ON_LIGHT, course.tightestRadiusMm()));
        Setup gentle = narrow.withLaw(narrow.law().withBaseCommand(25).withGains(0.2, 0, 0.4));
        RunResult result = Twin.run(Track.of(course, gentle), Start.calm(0), TickSink.NONE);
        if (course.equals(DemoCourses.rescue())) {
            // Its first right angle takes more than a plain pair; up to there it drives.
            assertThat(result.sMm()).as("%s", result).isGreaterThan(1000);
        } else {
            assertThat(result.completed()).as("%s", result).isTrue();
            assertThat(result.rmsMm()).isLessThan(0.5);
        }
    }
}
