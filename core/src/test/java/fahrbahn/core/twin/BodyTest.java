package fahrbahn.core.twin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.path.Pose;
import fahrbahn.core.sensing.Variation;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.SpeedCurve;
import fahrbahn.core.setup.Traits;
import org.junit.jupiter.api.Test;

/** The moving robot against closed forms: circles, the step response of its lag, and what keeps it from being ideal. */
class BodyTest {
    private static final double TICK_S = 0.01;

    private static Drive drive(double lagS) {
        return new Drive(120, 600, lagS, Mixing.DIFFERENCE, 100);
    }

    private static Body driven(Drive drive, double command, int ticks, double left, double right) {
        Body body = new Body(drive, Variation.CALM);
        body.startAt(new Pose(0, 0, 0), command);
        Span span = new Span();
        span.set(TICK_S, body.lagS());
        for (int i = 0; i < ticks; i++) {
            body.drive(span, left, right);
        }
        return body;
    }

    /** Without lag, wheels at 240 and 360 mm/s make a circle of radius 300 mm at 1 rad/s: after 2 pi s it is closed. */
    @Test
    void unequalWheelsDriveACircle() {
        Body body = driven(drive(0), 50, 157, 40, 60);
        double angle = 1.57;
        assertThat(body.headingRad).isCloseTo(angle, within(1e-9));
        assertThat(body.xMm).isCloseTo(300 * Math.sin(angle), within(1e-6));
        assertThat(body.yMm).isCloseTo(300 * (1 - Math.cos(angle)), within(1e-6));
        assertThat(body.cos).isCloseTo(Math.cos(body.headingRad), within(1e-9));
        assertThat(body.sin).isCloseTo(Math.sin(body.headingRad), within(1e-9));
    }

    /** From rest with lag tau the way after t is v*(t - tau*(1 - exp(-t/tau))), in one tick or in many. */
    @Test
    void lagIsTheFirstOrderStepResponseWhateverTheTick() {
        double tau = 0.08;
        double t = 0.3;
        double expected = 300 * (t - tau * (1 - Math.exp(-t / tau)));
        assertThat(driven(drive(tau), 0, 30, 50, 50).xMm).isCloseTo(expected, within(1e-9));
        Body once = new Body(drive(tau), Variation.CALM);
        once.startAt(new Pose(0, 0, 0), 0);
        Span whole = new Span();
        whole.set(t, tau);
        once.drive(whole, 50, 50);
        assertThat(once.xMm).isCloseTo(expected, within(1e-9));
    }

    /**
     * Heading is exact in any tick. The place converges with the square of the tick; with its fourth power while the mean speed of
     * the wheels stays as it is, for then the mean heading is exact too.
     */
    @Test
    void finerTicksConverge() {
        assertThat(errorRatio(10, 90)).as("speed changes").isBetween(3.5, 4.5);
        assertThat(errorRatio(10, 70)).as("speed stays").isBetween(14.0, 18.0);
    }

    private static double errorRatio(double left, double right) {
        Body exact = curve(2560, left, right);
        double[] error = new double[2];
        for (int i = 0; i < 2; i++) {
            Body body = curve(20 << i, left, right);
            assertThat(body.headingRad).isCloseTo(exact.headingRad, within(1e-10));
            error[i] = Math.hypot(body.xMm - exact.xMm, body.yMm - exact.yMm);
        }
        assertThat(error[1]).as("neither absent nor absurd, mm").isBetween(1e-7, 1.0);
        return error[0] / error[1];
    }

    /** A turn that is begun from straight driving with lag: turn rate changes all the way. */
    private static Body curve(int ticks, double left, double right) {
        Body body = new Body(drive(0.15), Variation.CALM);
        body.startAt(new Pose(0, 0, 0), 40);
        Span span = new Span();
        span.set(0.4 / ticks, 0.15);
        for (int i = 0; i < ticks; i++) {
            body.drive(span, left, right);
        }
        return body;
    }

    @Test
    void traitsActOnTheWheels() {
        Traits ideal = Traits.IDEAL;
        Drive drive = drive(0);
        assertThat(driven(drive.withTraits(new Traits(true, 0.9, SpeedCurve.STRAIGHT, 0, 0, 1)), 0, 100, 50, 50).xMm)
                .isCloseTo(270, within(1e-9));
        assertThat(driven(drive.withTraits(new Traits(true, 1, SpeedCurve.STRAIGHT, 0, 0.1, 1)), 0, 100, 50, 50).xMm)
                .isCloseTo(270, within(1e-9));
        assertThat(driven(
                                drive.withTraits(ideal.withCurve(SpeedCurve.STRAIGHT.withDeadZoneCommand(20))),
                                0,
                                100,
                                15,
                                -15)
                        .xMm)
                .isZero();
        assertThat(driven(
                                drive.withTraits(ideal.withCurve(SpeedCurve.STRAIGHT.withDeadZoneCommand(20))),
                                0,
                                100,
                                60,
                                60)
                        .xMm)
                .as("half way from the dead band to full")
                .isCloseTo(300, within(1e-9));
        assertThat(driven(drive.withTraits(ideal.withScrub(1.5)), 0, 100, 40, 60).headingRad)
                .isCloseTo(1 / 1.5, within(1e-9));
        // The right wheel 10 % faster than the left: it turns left by 0.1 * 300 / 120 rad/s.
        assertThat(driven(drive.withTraits(ideal.withMismatchShare(0.1)), 0, 100, 50, 50).headingRad)
                .isCloseTo(0.25, within(1e-9));
    }

    /** A wheel that stands starts above 30 only; one that rolls goes on down to 22; to turn round it has to break away again. */
    @Test
    void aWheelThatStandsNeedsMoreThanOneThatRolls() {
        Drive sticky = drive(0.02).withCurve(new SpeedCurve(20, 0, 30, 22));
        double perCommand = 600 / 80.0;
        assertThat(driven(sticky, 0, 100, 29, 29).xMm).as("stands").isZero();
        assertThat(driven(sticky, 0, 200, 31, 31).xMm).isCloseTo(11 * perCommand * (2 - 0.02), within(1e-6));
        Body rolling = driven(sticky, 60, 100, 23, 23);
        double before = rolling.xMm;
        Span second = new Span();
        second.set(1, 0.02);
        rolling.drive(second, 23, 23);
        assertThat(rolling.xMm - before).as("rolls on").isCloseTo(3 * perCommand, within(1e-6));
        rolling.drive(second, 21, 21);
        double stopped = rolling.xMm;
        rolling.drive(second, 29, 29);
        assertThat(rolling.xMm).as("has stopped, and stands").isCloseTo(stopped, within(1e-6));
        rolling.drive(second, -29, -29);
        assertThat(rolling.xMm).as("backwards as well").isCloseTo(stopped, within(1e-6));
        // One wheel alone sticks: the robot turns about it.
        Body turning = driven(sticky, 0, 100, 0, 60);
        assertThat(turning.headingRad * 120 / 2).isCloseTo(turningMiddleMm(turning), within(0.01));
    }

    /** How far the middle of a robot that turns about one wheel has gone, from its place. */
    private static double turningMiddleMm(Body body) {
        double radius = 60;
        return 2 * radius * Math.asin(Math.hypot(body.xMm, body.yMm) / (2 * radius));
    }

    @Test
    void speedBendsWithTheCommand() {
        Drive bent = drive(0).withCurve(new SpeedCurve(0, 0.4, 0, 0));
        assertThat(driven(bent, 0, 100, 50, 50).xMm).isCloseTo(300 * 1.2, within(1e-9));
        assertThat(driven(bent, 0, 100, 100, 100).xMm).isCloseTo(600, within(1e-9));
    }

    @Test
    void slopesTakeTheirSineOfTheSpeed() {
        Body body = new Body(drive(0), Variation.CALM);
        body.startAt(new Pose(0, 0, 0), 50);
        body.climb(0.2);
        Span span = new Span();
        span.set(1, 0);
        body.drive(span, 50, 50);
        assertThat(body.xMm).isCloseTo(240, within(1e-9));
    }

    @Test
    void aProgramThatMayNotReverseStopsItsInnerWheelAtZero() {
        assertThat(drive(0).leastCommand()).isEqualTo(-100);
        assertThat(drive(0).withTraits(Traits.IDEAL.withMayReverse(false)).leastCommand())
                .isZero();
    }
}
