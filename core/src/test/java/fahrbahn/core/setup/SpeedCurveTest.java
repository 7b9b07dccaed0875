package fahrbahn.core.setup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.check.BadValueException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The bent speed curve at its ends, its slope against differences, and what a little steering does to the whole robot. */
class SpeedCurveTest {
    private static final SpeedCurve BENT = new SpeedCurve(10, 0.3, 16, 12);

    private static Drive drive(Mixing mixing) {
        return new Drive(130, 600, 0.05, mixing, 200).withCurve(BENT);
    }

    @Test
    void nothingAtTheDeadZoneAllAtFullAndAQuarterOfTheSagAboveTheLineHalfWay() {
        Drive drive = drive(Mixing.DIFFERENCE);
        assertThat(BENT.driving(10, 200)).isZero();
        assertThat(drive.speedMmPerS(200)).isCloseTo(600, within(1e-9));
        assertThat(drive.speedMmPerS(-200)).isCloseTo(-600, within(1e-9));
        assertThat(drive.speedMmPerS(105)).isCloseTo(300 * (1 + 0.3 / 2), within(1e-9));
    }

    @Test
    void startsAboveTheBreakawayAndHoldsDownToLess() {
        Drive drive = drive(Mixing.DIFFERENCE);
        assertThat(drive.speedFromRestMmPerS(16)).isZero();
        assertThat(drive.speedFromRestMmPerS(16.1)).isPositive();
        assertThat(drive.speedMmPerS(12)).isPositive();
        assertThat(drive.speedMmPerS(11.9)).isZero();
        SpeedCurve odd = new SpeedCurve(10, 0, 4, 30);
        assertThat(odd.startsAboveCommand())
                .as("no wheel starts inside its dead zone")
                .isEqualTo(10);
        assertThat(odd.holdsDownToCommand())
                .as("nor needs more to roll on than to start")
                .isEqualTo(10);
        assertThat(odd.sticks()).isFalse();
    }

    /** The settled turn rate of the two wheels' own speeds, for a little steering either way, against the slope that the loop takes. */
    @ParameterizedTest
    @CsvSource({
        "DIFFERENCE, 40",
        "DIFFERENCE, 120",
        "DIFFERENCE, 190",
        "INNER_WHEEL, 40",
        "INNER_WHEEL, 120",
        "INNER_WHEEL, 190"
    })
    void theLoopTakesTheSlopeAtTheBaseCommand(Mixing mixing, double base) {
        Drive drive = drive(mixing);
        double u = 1e-4;
        double left = drive.speedMmPerS(mixing.leftCommand(base, u));
        double right = drive.speedMmPerS(mixing.leftCommand(base, -u));
        double turnRadPerS = (right - left) / drive.effectiveTrackWidthMm();
        assertThat(drive.turnRatePerCommand(base)).isCloseTo(turnRadPerS / u, within(1e-5 * turnRadPerS / u));
    }

    @Test
    void aStraightCurveIsTheOldLaw() {
        Drive drive = new Drive(130, 600, 0.05, Mixing.DIFFERENCE, 200);
        assertThat(drive.turnRatePerCommand(80)).isCloseTo(2 * 600 / (200.0 * 130), within(1e-15));
        assertThat(drive.speedMmPerS(50)).isEqualTo(150);
    }

    @Test
    void whatCannotBeIsRefused() {
        assertThatThrownBy(() -> BENT.withSagShare(0.95)).isInstanceOf(BadValueException.class);
        assertThatThrownBy(() -> BENT.withBreakawayCommand(-1)).isInstanceOf(BadValueException.class);
        assertThatThrownBy(() -> BENT.withHoldingCommand(Double.NaN)).isInstanceOf(BadValueException.class);
        assertThatThrownBy(() -> drive(Mixing.DIFFERENCE).withCurve(BENT.withBreakawayCommand(200)))
                .hasMessageContaining("breakawayCommand");
        Setup slow = Setups.edge();
        assertThatThrownBy(() -> slow.withDrive(slow.robot().drive().withCurve(new SpeedCurve(5, 0, 45, 0))))
                .hasMessageContaining("above the start-up power, 45");
    }
}
