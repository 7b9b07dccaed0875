package fahrbahn.core.response;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Setup;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ErrorCurveTest {
    private static final double SIGMA = Setups.sensor("eye", 0, 0).spotSigmaMm();

    @Test
    void edgeOfAWideLineHasTheSlopeOfTheNormalDensity() {
        // SCIENCE section 2: 100/(sigma*sqrt(2*pi)) per mm; the far edge, 7 sigma away, adds nothing.
        double expected = 100 / (SIGMA * Math.sqrt(2 * Math.PI));
        ErrorCurve curve = ErrorCurve.of(Setups.edge());
        assertThat(Math.abs(curve.slopePerMm())).isCloseTo(expected, within(1e-5 * expected));
        assertThat(curve.rideOffsetMm()).isCloseTo(-12, within(1e-6));
    }

    @Test
    void slopeChangesSignWithPolarityAndSide() {
        Setup dark = Setups.edge();
        Setup light = dark.withLine(new Line(24, Polarity.LIGHT_ON_DARK, 160));
        assertThat(ErrorCurve.of(light).slopePerMm())
                .isCloseTo(-ErrorCurve.of(dark).slopePerMm(), within(1e-6));
    }

    @Test
    void spotMovedOverTheLineGathersItsWidth() {
        // The integral of the coverage over all offsets is the line's width, whatever the spot.
        double sum = 0;
        for (double e = -60; e < 60; e += 0.05) {
            sum += 0.05 * Spot.coverage(e, 19, 3.7);
        }
        assertThat(sum).isCloseTo(19, within(1e-6));
    }

    @Test
    void pairIsSteepestALineWidthApart() {
        double best = slopeAtSpacing(24);
        assertThat(slopeAtSpacing(20)).isLessThan(best);
        assertThat(slopeAtSpacing(28)).isLessThan(best);
        assertThat(ErrorCurve.of(Setups.pair()).rideOffsetMm()).isZero();
    }

    private static double slopeAtSpacing(double spacingMm) {
        Setup pair = Setups.pair();
        var robot = pair.robot()
                .withSensor(0, pair.robot().sensors().get(0).withPlace(55, spacingMm / 2))
                .withSensor(1, pair.robot().sensors().get(1).withPlace(55, -spacingMm / 2));
        return Math.abs(ErrorCurve.of(pair.withRobot(robot)).slopePerMm());
    }

    @Test
    void targetThatTheEdgeNeverShowsIsRefusedWithWhatItShows() {
        Setup setup = Setups.edge().withLaw(Setups.edge().law().withTarget(130));
        assertThatThrownBy(() -> ErrorCurve.of(setup).rideOffsetMm())
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("law.target is 130")
                .hasMessageContaining("and 100");
    }

    /** At about 1.2 line widths the middle sensor alone sees the line, and the mean stands still: refused, with the pitch that would do. */
    @ParameterizedTest
    @ValueSource(ints = {3, 5, 7})
    void aMeanWithoutASlopeIsRefusedWithThePitchThatWouldDo(int sensors) {
        double width = Setups.edge().line().widthMm();
        Setup wide = Setups.row(ErrorSignal.ARRAY_MEAN, sensors, 1.25 * width);
        String refusal = Assertions.catchThrowableOfType(BadValueException.class, () -> ErrorCurve.of(wide))
                .getMessage();
        assertThat(refusal).contains("pitchMm is 30", "at most ", "from sensor to sensor", "law of patterns");
        double most = Double.parseDouble(refusal.replaceAll(".*at most ([0-9.]+) mm.*", "$1"));
        assertThat(most).isBetween(width, 1.2 * width);
        ErrorCurve closer = ErrorCurve.of(Setups.row(ErrorSignal.ARRAY_MEAN, sensors, most));
        assertThat(closer.slopePerMm()).isNotZero();
        assertThat(closer.flat()).isFalse();
        assertThatThrownBy(() -> ErrorCurve.of(Setups.row(ErrorSignal.ARRAY_MEAN, sensors, most + 0.2)))
                .isInstanceOf(BadValueException.class);
    }

    /** A pair far wider than its line has a slope of nothing in the middle; which way it steers its sides tell. */
    @ParameterizedTest
    @ValueSource(doubles = {24, 60, 140})
    void whichWayToSteerIsToldByTheSides(double spacingMm) {
        Setup pair = Setups.pair();
        Setup wide = pair.withRobot(pair.robot()
                .withSensors(
                        List.of(Setups.sensor("left", 55, spacingMm / 2), Setups.sensor("right", 55, -spacingMm / 2))));
        assertThat(ErrorCurve.of(wide).steerSign())
                .isEqualTo(ErrorCurve.of(pair).steerSign());
        assertThat(Math.abs(ErrorCurve.of(Setups.edge()).steerSign())).isEqualTo(1);
    }
}
