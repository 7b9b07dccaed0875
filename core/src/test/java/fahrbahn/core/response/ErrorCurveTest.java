package fahrbahn.core.response;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Setup;
import org.junit.jupiter.api.Test;

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
}
