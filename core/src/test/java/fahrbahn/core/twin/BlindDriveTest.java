package fahrbahn.core.twin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.path.Pose;
import fahrbahn.core.sensing.Variation;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.twin.BlindDrive.Until;
import org.junit.jupiter.api.Test;

/** Moves without looking, against closed forms. */
class BlindDriveTest {
    private static final Setup PAIR = Setups.pair();
    private static final Pose HERE = new Pose(500, 20, 0.1);
    private static final double WIDTH_MM = PAIR.robot().drive().effectiveTrackWidthMm();

    /** A timer is a whole number of ticks. */
    private static final double TICK_MM =
            PAIR.speedMmPerS() * PAIR.robot().loop().periodS();

    /** A tick that speeds up is driven along its mean heading in time, which is not quite that of its way. */
    private static final double ROUNDING_MM = 0.02;

    private static BlindDrive drive(Variation is) {
        return new BlindDrive(PAIR, is, 0, HERE);
    }

    private static Variation with(double battery, double mismatch, double slip) {
        return new Variation(battery, 1, mismatch, slip, 0, 1, 1, 0);
    }

    /** From rest to rest the lag lost at the start is gained at the end: v T to the tick. */
    @Test
    void backByTimeIsSpeedTimesTime() {
        for (double battery : new double[] {1, 0.9, 1.1}) {
            Pose back = drive(with(battery, 0, 0)).back(600, Until.TIME).pose();
            double way = Math.hypot(back.xMm() - HERE.xMm(), back.yMm() - HERE.yMm());
            assertThat(way).isBetween(600 * battery - 1e-6, (600 + TICK_MM) * battery + 1e-6);
            assertThat(back.headingRad()).isCloseTo(HERE.headingRad(), within(1e-9));
            assertThat(back.xMm()).isLessThan(HERE.xMm());
        }
    }

    /** Wheels count what they turn, so slip is lost and a weak battery is not. */
    @Test
    void backByWheelTurnsLosesTheSlip() {
        double weak = way(with(0.9, 0, 0));
        double slipping = way(with(1, 0, 0.1));
        double usual = way(with(1, 0, 0));
        double carriesOn = PAIR.speedMmPerS()
                * (PAIR.robot().loop().delayS() + PAIR.robot().drive().lagS());
        assertThat(usual).as("to the tick that decides").isCloseTo(600, within(TICK_MM));
        assertThat(weak).as("rolls on less").isCloseTo(600 - 0.1 * carriesOn, within(TICK_MM));
        assertThat(slipping).as("all of it slips").isCloseTo(540, within(TICK_MM));
    }

    private static double way(Variation is) {
        Pose back = drive(is).back(600, Until.WHEEL_TURNS).pose();
        return Math.hypot(back.xMm() - HERE.xMm(), back.yMm() - HERE.yMm());
    }

    /** Wheels uneven by m drive a circle of b/m: turned by m D / b, aside by half of that of the way. */
    @Test
    void unevenWheelsBackOffOnACircle() {
        double mismatch = 0.02;
        Pose straight = drive(with(1, 0, 0)).back(600, Until.TIME).pose();
        Pose bent = drive(with(1, mismatch, 0)).back(600, Until.TIME).pose();
        double way = Math.hypot(straight.xMm() - HERE.xMm(), straight.yMm() - HERE.yMm());
        double turned = mismatch * way / WIDTH_MM;
        assertThat(bent.headingRad() - HERE.headingRad())
                .as("backwards, so the faster right wheel turns it to the right")
                .isCloseTo(-turned, within(1e-6));
        double radius = WIDTH_MM / mismatch;
        double chord = 2 * radius * Math.sin(turned / 2);
        double mean = HERE.headingRad() - turned / 2;
        assertThat(bent.xMm()).isCloseTo(HERE.xMm() - chord * Math.cos(mean), within(ROUNDING_MM));
        assertThat(bent.yMm()).isCloseTo(HERE.yMm() - chord * Math.sin(mean), within(ROUNDING_MM));
    }

    @Test
    void aTurnOnTheSpotStaysThere() {
        for (Until until : Until.values()) {
            Pose turned = drive(with(1, 0, 0)).turn(Math.PI, until).pose();
            assertThat(turned.xMm()).isCloseTo(HERE.xMm(), within(1e-6));
            assertThat(turned.yMm()).isCloseTo(HERE.yMm(), within(1e-6));
            assertThat(turned.headingRad() - HERE.headingRad())
                    .as("to the tick")
                    .isCloseTo(Math.PI, within(2 * TICK_MM / WIDTH_MM));
        }
    }
}
