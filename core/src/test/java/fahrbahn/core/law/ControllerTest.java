package fahrbahn.core.law;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Options.Limits;
import fahrbahn.core.setup.Options.LostLine;
import fahrbahn.core.setup.Options.LostLine.Action;
import fahrbahn.core.setup.Options.Outer;
import fahrbahn.core.setup.Options.Pattern;
import fahrbahn.core.setup.Options.Step;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.List;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;

/** Laws on readings of our choice: a pair on percent scale, 100 is ground, 0 is line. */
class ControllerTest {
    private static final double TICK_S = 0.01;

    private static Setup pair(UnaryOperator<Options> change) {
        Setup pair = Setups.pair();
        return pair.withLaw(pair.law().withGains(0.5, 0, 0).withOptions(change.apply(Options.PLAIN)));
    }

    private static double steering(Controller controller, double... scaled) {
        controller.decide(scaled, TICK_S);
        return controller.steering();
    }

    @Test
    void gainsActInTheOrderOfAUsualProgram() {
        Setup setup = Setups.pair();
        Controller pid = new Controller(setup.withLaw(setup.law().withGains(0.5, 0.1, 2)), 1);
        assertThat(steering(pid, 60, 50))
                .as("no change on the first tick")
                .isCloseTo(0.5 * 10 + 0.1 * 10, within(1e-12));
        assertThat(steering(pid, 70, 56)).isCloseTo(0.5 * 14 + 0.1 * 24 + 2 * 4, within(1e-12));
        assertThat(steering(pid, 50, 56)).isCloseTo(0.5 * -6 + 0.1 * 18 + 2 * -20, within(1e-12));
        pid.reset();
        assertThat(steering(pid, 60, 50)).as("the same again after a reset").isCloseTo(6, within(1e-12));
    }

    @Test
    void twoStatesChangeOverAtZeroAndWithHysteresisBeyondIt() {
        Controller plain = new Controller(pair(o -> o.withSteps(List.of(new Step(0, 30)), 0)), 1);
        assertThat(steering(plain, 51, 50)).isEqualTo(30);
        assertThat(steering(plain, 49, 50)).isEqualTo(-30);
        Controller holding = new Controller(pair(o -> o.withSteps(List.of(new Step(0, 30)), 8)), 1);
        assertThat(steering(holding, 60, 50)).isEqualTo(30);
        assertThat(steering(holding, 43, 50)).as("7 back is not yet 8").isEqualTo(30);
        assertThat(steering(holding, 41, 50)).isEqualTo(-30);
        assertThat(steering(holding, 57, 50)).isEqualTo(-30);
    }

    @Test
    void threeStatesGoStraightInTheirZone() {
        Controller zone = new Controller(pair(o -> o.withSteps(List.of(new Step(15, 40)), 0)), -1);
        assertThat(steering(zone, 64, 50)).isZero();
        assertThat(steering(zone, 66, 50)).isEqualTo(-40);
        assertThat(steering(zone, 30, 50)).isEqualTo(40);
    }

    @Test
    void gradedStepsRiseAndAreLeftLaterThanReached() {
        List<Step> steps = List.of(new Step(10, 10), new Step(30, 25), new Step(60, 60));
        Controller graded = new Controller(pair(o -> o.withSteps(steps, 5)), 1);
        assertThat(steering(graded, 55, 50)).isZero();
        assertThat(steering(graded, 85, 50)).isEqualTo(25);
        assertThat(steering(graded, 78, 50)).as("28 is above 30 - 5").isEqualTo(25);
        assertThat(steering(graded, 74, 50)).isEqualTo(10);
        assertThat(steering(graded, 100, 0)).isEqualTo(60);
        assertThat(steering(graded, 0, 100)).isEqualTo(-60);
    }

    @Test
    void patternsSteerByTheirTableAndKeepTheSteeringForOthers() {
        List<Pattern> table = List.of(new Pattern("010", 0), new Pattern("100", 35), new Pattern("001", -35));
        Setup row = Setups.row(ErrorSignal.ARRAY_MEAN, 3, 14);
        Setup setup = row.withLaw(
                row.law().withOptions(Options.PLAIN.withPatterns(table)).withSignal(ErrorSignal.PATTERN));
        Controller pattern = new Controller(setup, 1);
        assertThat(steering(pattern, 10, 90, 90)).isEqualTo(35);
        assertThat(steering(pattern, 90, 90, 90)).as("000 is not in the table").isEqualTo(35);
        assertThat(steering(pattern, 90, 20, 90)).isZero();
        assertThat(steering(pattern, 90, 90, 49)).isEqualTo(-35);
    }

    @Test
    void aLostLineIsAnsweredAsTheLawSays() {
        for (Action action : Action.values()) {
            Controller law = new Controller(pair(o -> o.withLost(new LostLine(action, 0.3, 22, 20))), 1);
            steering(law, 100, 20); // line under the right sensor, error 80
            double lostInABend = steering(law, 100, 100);
            steering(law, 60, 50); // on the line, error 10
            double lostInAGap = steering(law, 100, 100);
            switch (action) {
                case NONE, STRAIGHT -> {
                    assertThat(lostInABend).isZero();
                    assertThat(lostInAGap).isZero();
                }
                case LAST_SIDE -> {
                    assertThat(lostInABend).isEqualTo(22);
                    assertThat(lostInAGap).isEqualTo(22);
                }
                case BY_LOSS -> {
                    assertThat(lostInABend).isEqualTo(22);
                    assertThat(lostInAGap).isZero();
                }
            }
        }
    }

    @Test
    void emergencySensorsOverruleTheLawUnlessBothMeetTheLine() {
        Setup row = Setups.row(ErrorSignal.ARRAY_DIFFERENCE, 5, 14);
        Law law = row.law().withSignal(ErrorSignal.PAIR).withGains(0.5, 0, 0);
        Setup setup = row.withLaw(law.withOptions(Options.PLAIN.withOuter(new Outer("s0", "s4", 70))));
        assertThat(setup.lawSensors()).extracting(Sensor::name).containsExactly("s1", "s3");
        Controller watched = new Controller(setup, -1);
        assertThat(steering(watched, 50, 40, 100, 100)).isEqualTo(-5);
        assertThat(steering(watched, 50, 40, 10, 100))
                .as("line on the far left")
                .isEqualTo(70);
        assertThat(steering(watched, 50, 40, 100, 10)).isEqualTo(-70);
        assertThat(steering(watched, 50, 40, 10, 10)).as("a crossing").isEqualTo(-5);
    }

    @Test
    void afterACrossingTheRobotGoesStraightForTheBlankingTime() {
        Controller blanking = new Controller(pair(o -> o.withLimits(new Limits(50, 0, 0.025))), 1);
        assertThat(steering(blanking, 80, 40)).isEqualTo(20);
        assertThat(steering(blanking, 0, 0)).isZero();
        assertThat(steering(blanking, 80, 40)).isZero();
        assertThat(steering(blanking, 80, 40)).isZero();
        assertThat(steering(blanking, 80, 40)).as("30 ms later").isEqualTo(20);
    }

    @Test
    void steeringIsLimitedAndSlowsTheRobotInProportion() {
        Controller limited = new Controller(pair(o -> o.withLimits(new Limits(30, 0.4, 0))), 1);
        assertThat(steering(limited, 100, 0)).isEqualTo(30);
        assertThat(limited.baseCommand()).isCloseTo(40 * 0.6, within(1e-12));
        assertThat(steering(limited, 80, 50)).isEqualTo(15);
        assertThat(limited.baseCommand()).isCloseTo(40 * 0.8, within(1e-12));
    }

    @Test
    void perSecondGainsSurviveAChangeOfLoopTime() {
        Law law = Setups.pair().law().withGains(0.4, 0.02, 1.5);
        GainUnits units = GainUnits.perSecond(law, 0.01);
        assertThat(units).isEqualTo(new GainUnits(0.4, 2, 0.015));
        Law slower = units.perLoop(law, 0.02);
        assertThat(slower.ki()).isCloseTo(0.04, within(1e-12));
        assertThat(slower.kd()).isCloseTo(0.75, within(1e-12));
        assertThat(GainUnits.perSecond(slower, 0.02).kdS()).isCloseTo(0.015, within(1e-12));
    }

    /** The same readings in another scale give the same steering, step for step. */
    @Test
    void aLawInAnotherScaleSteersTheSame() {
        Setup setup = Setups.edge();
        Sensor sensor = setup.robot().sensors().get(0);
        Law law = setup.law().withGains(0.4, 0.01, 1.5).withTarget(42);
        for (Scale scale : Scale.NAMED) {
            Law rescaled = GainUnits.rescaled(law, scale, sensor);
            Controller before = new Controller(setup.withLaw(law), 1);
            Controller after = new Controller(setup.withLaw(rescaled), 1);
            for (double reading : new double[] {20, 31, 55, 70, 12}) {
                double expected = steering(before, law.scale().scaled(sensor, reading));
                assertThat(steering(after, scale.scaled(sensor, reading)))
                        .as(scale.word())
                        .isCloseTo(expected, within(1e-9));
            }
        }
        assertThat(GainUnits.rescaled(law, Scale.PERMILLE, sensor).kp())
                .as("ten times the numbers, a tenth of the gain")
                .isCloseTo(0.04, within(1e-12));
    }
}
