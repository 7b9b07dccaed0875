package fahrbahn.core.twin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.law.UsualLaws;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.Pose;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Options.Pattern;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.trace.TickSink;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The oldest line follower there is: two sensors beside the line, on or off, four cases. */
class FourCasesTest {
    private static final double BESIDE_MM = 17;

    /** Neither on the line: straight; one of them: turn to it; both: straight, or stop. */
    private static Setup fourCases(boolean stops) {
        Setup pair = Setups.pair();
        List<Sensor> sensors = List.of(Setups.sensor("left", 55, BESIDE_MM), Setups.sensor("right", 55, -BESIDE_MM));
        List<Pattern> cases =
                List.of(new Pattern("00", 0), new Pattern("01", -18), new Pattern("10", 18), new Pattern("11", 0));
        return pair.withRobot(pair.robot().withSensors(sensors))
                .withLaw(pair.law()
                        .withSignal(ErrorSignal.PATTERN)
                        .withBaseCommand(28)
                        .withOptions(Options.PLAIN
                                .withPatterns(cases)
                                .withLimits(Options.Limits.NONE.withStopsOnAll(stops))));
    }

    private static RunResult drive(Course course, Setup setup) {
        return Twin.run(Track.of(course, setup), Start.calm(0), TickSink.NONE);
    }

    @Test
    void ridesTheLoopBetweenItsSensors() {
        RunResult lap = drive(DemoCourses.workshopLoop(), fourCases(false));
        assertThat(lap.completed()).isTrue();
        // It wanders from one sensor to the other, no further than they are from the line's edge and what a turn takes.
        assertThat(lap.peakMm()).isLessThan(BESIDE_MM);
    }

    /** The table that is offered turns to the sensor that sees the line, and is silent where neither does. */
    @Test
    void theUsualTableIsOfThreeCases() {
        assertThat(UsualLaws.patterns(fourCases(false)))
                .extracting(Pattern::bits)
                .containsExactly("10", "11", "01");
        assertThat(UsualLaws.patterns(fourCases(false)).get(0).steering()).isPositive();
    }

    /** A sensor that reads darker than its twin is given a threshold of its own: without, it sees a line everywhere. */
    @Test
    void aThresholdOfItsOwnPutsADarkSensorRight() {
        Setup setup = fourCases(false);
        Sensor dark = setup.robot().sensors().get(0);
        Setup raw = setup.withLaw(
                setup.law().withScale(fahrbahn.core.setup.Scale.RAW).withTarget(45));
        Setup uneven = raw.withRobot(raw.robot().withSensor(0, dark.withSurfaces(4, 40, 0.5)));
        assertThat(drive(DemoCourses.workshopLoop(), uneven).completed()).isFalse();
        Setup nudged =
                uneven.withLaw(uneven.law().withOptions(uneven.law().options().withThresholds(List.of(22.0, 45.0))));
        assertThat(drive(DemoCourses.workshopLoop(), nudged).completed()).isTrue();
        assertThatThrownBy(() -> uneven.withLaw(
                        uneven.law().withOptions(uneven.law().options().withThresholds(List.of(22.0)))))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("law.thresholds");
    }

    /** With both on a strip it stops: at the end of a course that is its finish, before it the end of the run. */
    @Test
    void stopsWithBothOnTheLine() {
        Setup setup = fourCases(true);
        RunResult mission = drive(DemoCourses.mission(), setup);
        assertThat(mission.end()).isEqualTo(RunResult.End.FINISHED);
        // The wheels' lag and the loop's delay carry it on by v (tau + d), a little more or less for where a tick fell.
        double carriedMm = setup.speedMmPerS()
                * (setup.robot().drive().lagS() + setup.robot().loop().delayS());
        assertThat(mission.stopAlongMm()).isCloseTo(carriedMm, within(5.0));
        Course crossing = new Course(
                "crossing",
                1600,
                600,
                new Pose(100, 300, 0),
                List.of(
                        new Part.Straight(500),
                        new Part.Crossing(110, Part.Turn.STRAIGHT, false),
                        new Part.Straight(500),
                        new Part.End(60)),
                false);
        RunResult stopped = drive(crossing, setup);
        assertThat(stopped.end()).isEqualTo(RunResult.End.STOPPED);
        assertThat(stopped.sMm()).isBetween(480.0, 620.0);
        assertThat(drive(crossing, fourCases(false)).completed()).isTrue();
    }
}
