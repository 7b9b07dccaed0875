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
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CurveFeaturesTest {
    private static final double SIGMA = Setups.sensor("eye", 0, 0).spotSigmaMm();

    private static Setup pairAt(double spacingMm) {
        Setup pair = Setups.pair();
        return pair.withRobot(pair.robot()
                .withSensor(0, pair.robot().sensors().get(0).withPlace(55, spacingMm / 2))
                .withSensor(1, pair.robot().sensors().get(1).withPlace(55, -spacingMm / 2)));
    }

    /** SCIENCE section 2: sensors wide of the line see nothing of it for about (s - w)/2 - 2 sigma to each side. */
    @ParameterizedTest
    @ValueSource(doubles = {42, 50, 60})
    void aPairWideOfTheLineHasTheBlindBandOfTheRule(double spacingMm) {
        CurveFeatures wide = CurveFeatures.of(ErrorCurve.of(pairAt(spacingMm)));
        double half = (spacingMm - 24) / 2 - 2 * SIGMA;
        // Samples lie out/600, some 0.08 mm, apart.
        assertThat(wide.blind().highMm()).isCloseTo(half, within(0.15));
        assertThat(wide.blind().lowMm()).isCloseTo(-half, within(0.15));
        // Beyond the blind band there is still error to be had, out to where each sensor is on the middle of the line.
        assertThat(wide.guided().highMm()).isCloseTo(spacingMm / 2, within(0.5));
    }

    @Test
    void aPairALineWidthApartHasNoBlindBandToSpeakOf() {
        CurveFeatures close = CurveFeatures.of(ErrorCurve.of(Setups.pair()));
        assertThat(close.blind().widthMm()).isLessThan(0.5);
        assertThat(close.straight().widthMm()).isBetween(SIGMA, 4 * SIGMA);
        assertThat(close.straight().widthMm()).isLessThan(close.guided().widthMm());
        assertThat(close.rideOffsetMm()).isZero();
    }

    /** An edge folds over where the far edge comes in: on a line so narrow that would be its middle. */
    @Test
    void anEdgeFoldsOverInTheMiddleOfItsLine() {
        CurveFeatures edge = CurveFeatures.of(ErrorCurve.of(Setups.edge()));
        Setup narrow = Setups.edge().withLine(new Line(6, Polarity.DARK_ON_LIGHT, 160));
        CurveFeatures folded =
                CurveFeatures.of(ErrorCurve.of(narrow.withLaw(narrow.law().withTarget(70))));
        assertThat(edge.rideOffsetMm()).isCloseTo(-12, within(1e-6));
        assertThat(folded.guided().highMm()).isCloseTo(0, within(0.1));
        assertThat(edge.guided().highMm()).isLessThan(0.1);
    }

    @ParameterizedTest
    @CsvSource({"3, 14", "5, 9", "8, 9", "16, 7"})
    void rowsRideInTheirMiddleAndTheirErrorGrowsOutward(int sensors, double pitchMm) {
        for (ErrorSignal kind : List.of(ErrorSignal.ARRAY_MEAN, ErrorSignal.ARRAY_DIFFERENCE)) {
            ErrorCurve curve = ErrorCurve.of(Setups.row(kind, sensors, pitchMm));
            assertThat(curve.rideOffsetMm()).as("%s of %d", kind, sensors).isCloseTo(0, within(1e-6));
            assertThat(curve.leadMm()).isCloseTo(55, within(1e-6));
            // Mirrored: the error to the left is minus that to the right.
            for (double offset = 0.5; offset < 30; offset += 3.1) {
                assertThat(curve.errorAt(-offset)).isCloseTo(-curve.errorAt(offset), within(1e-9));
            }
        }
    }

    /** A weighted mean of places tells the place: sensors much closer than the line is wide leave a slope of -1 mm per mm. */
    @Test
    void meanOfADenseRowIsTheOffsetItself() {
        ErrorCurve curve = ErrorCurve.of(Setups.row(ErrorSignal.ARRAY_MEAN, 16, 5));
        for (double offset = -20; offset <= 20; offset += 4) {
            assertThat(curve.errorAt(offset)).isCloseTo(-offset, within(0.01));
        }
        CurveFeatures features = CurveFeatures.of(curve);
        assertThat(features.ripplePercent()).isLessThan(8);
        assertThat(features.straight().widthMm()).isGreaterThan(50);
    }

    @Test
    void aCoarseRowRipplesMoreThanADenseOne() {
        double dense = CurveFeatures.of(ErrorCurve.of(Setups.row(ErrorSignal.ARRAY_MEAN, 9, 8)))
                .ripplePercent();
        double coarse = CurveFeatures.of(ErrorCurve.of(Setups.row(ErrorSignal.ARRAY_MEAN, 3, 24)))
                .ripplePercent();
        assertThat(coarse).isGreaterThan(dense);
    }

    /** The difference with weights 1 and -1 on the outer two of three is a pair. */
    @Test
    void differenceOfThreeIsThePairOfItsEnds() {
        ErrorCurve row = ErrorCurve.of(Setups.row(ErrorSignal.ARRAY_DIFFERENCE, 3, 12));
        ErrorCurve pair = ErrorCurve.of(pairAt(24));
        for (double offset = -20; offset <= 20; offset += 2.3) {
            assertThat(row.errorAt(offset)).isCloseTo(pair.errorAt(offset), within(1e-9));
        }
        assertThat(row.slopePerMm()).isCloseTo(pair.slopePerMm(), within(1e-9));
    }

    /** Priority factors: an outer pair that counts three times as much steepens the outer part of the curve alone. */
    @Test
    void weightsActOnTheSensorsTheyBelongTo() {
        Setup plain = Setups.row(ErrorSignal.ARRAY_DIFFERENCE, 5, 12);
        Setup heavy = plain.withLaw(
                plain.law().withOptions(plain.law().options().withWeights(List.of(6.0, 1.0, 0.0, -1.0, -6.0))));
        ErrorCurve usual = ErrorCurve.of(plain);
        ErrorCurve stressed = ErrorCurve.of(heavy);
        assertThat(stressed.slopePerMm()).isCloseTo(usual.slopePerMm(), within(0.02 * Math.abs(usual.slopePerMm())));
        assertThat(Math.abs(stressed.errorAt(24))).isGreaterThan(2 * Math.abs(usual.errorAt(24)));
    }

    @Test
    void leadOfUnequalSensorsIsThatOfThoseThatSeeTheEdge() {
        Setup row = Setups.row(ErrorSignal.ARRAY_DIFFERENCE, 5, 12);
        // The outer two do not see the edges of a 24 mm line from the middle: moving them ahead changes nothing.
        Setup arrow = row.withRobot(row.robot()
                .withSensor(0, row.robot().sensors().get(0).withPlace(80, 24))
                .withSensor(4, row.robot().sensors().get(4).withPlace(80, -24)));
        assertThat(ErrorCurve.of(arrow).leadMm()).isCloseTo(55, within(0.1));
    }

    /** By the sum of squares: a pair of equal sensors has root 2 times the noise of one. */
    @Test
    void noiseOfAPairIsRootTwoOfOneSensor() {
        double one = ErrorCurve.of(Setups.edge()).noise();
        assertThat(ErrorCurve.of(Setups.pair()).noise()).isCloseTo(Math.sqrt(2) * one, within(1e-9));
    }

    @Test
    void aPatternLawHasNoErrorCurve() {
        Setup row = Setups.row(ErrorSignal.ARRAY_MEAN, 3, 12);
        var patterns = List.of(new fahrbahn.core.setup.Options.Pattern("010", 0));
        Setup pattern = row.withLaw(row.law()
                .withOptions(row.law().options().withPatterns(patterns))
                .withSignal(ErrorSignal.PATTERN));
        assertThatThrownBy(() -> ErrorCurve.of(pattern))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("law.kind is pattern");
    }
}
