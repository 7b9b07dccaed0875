package fahrbahn.core.quality;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Setups;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.setup.Setup;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.IntToDoubleFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What passed as a clean capture once and was none: each is named, and forbids a level. */
class GuardsTest {
    private final Setup setup = Setups.pair();
    private final Random random = new Random(3);

    /** Whole-number readings of both sensors, a hundred of them in ten seconds. */
    private Capture capture(String surface, IntToDoubleFunction left, IntToDoubleFunction right) {
        List<Reading> readings = new ArrayList<>();
        for (int i = 0; i < 100; i++) {
            double[] values = {noisy(left.applyAsDouble(i)), noisy(right.applyAsDouble(i))};
            readings.add(new Reading(0.1 * i, surface, Double.NaN, values));
        }
        return new Capture(
                surface + random.nextInt(), surface, Instant.EPOCH, "test", List.of("left", "right"), readings);
    }

    private double noisy(double mean) {
        return Math.rint(mean + 1.5 * random.nextGaussian());
    }

    private Capture spot(String surface, double left, double right) {
        return capture(surface, i -> left, i -> right);
    }

    private Survey survey(Capture... captures) {
        return Survey.of(List.of(captures), setup);
    }

    @Test
    void twoPlacesInOneCaptureAreNoMeanWithACrease() {
        Capture torn = capture(Capture.DARK, i -> i < 40 ? 740 : 240, i -> 240);
        Survey found = survey(spot(Capture.LIGHT, 740, 735), torn);
        assertThat(found.stop("left"))
                .hasValueSatisfying(f -> assertThat(f).isInstanceOfSatisfying(Finding.Moved.class, m -> {
                    assertThat(m.from()).isBetween(737.0, 743.0);
                    assertThat(m.to()).isBetween(237.0, 243.0);
                }));
        assertThat(found.stop("right")).isEmpty();
        assertThat(found.captures().get(1).findings())
                .as("of two places there is no crease and no drift")
                .noneMatch(
                        f -> f instanceof Finding.Burst || f instanceof Finding.Drift || f instanceof Finding.Outliers);
    }

    @Test
    void aCaptureBegunWhileMovingDoesNotDriftByThousandsOfPercent() {
        Capture begun = capture(Capture.LIGHT, i -> i < 35 ? 240 + 500 * i / 35.0 : 740, i -> 735);
        Survey found = survey(spot(Capture.DARK, 240, 236), begun);
        assertThat(found.stop("left")).containsInstanceOf(Finding.Moved.class);
        assertThat(found.captures().get(1).findings()).noneMatch(f -> f instanceof Finding.Drift);
    }

    @Test
    void alsoTheFirstCaptureOfAllIsSeenToMove() {
        Survey found = survey(capture(Capture.LIGHT, i -> i < 50 ? 740 : 600, i -> 735));
        assertThat(found.captures().get(0).findings()).anyMatch(f -> f instanceof Finding.Moved);
    }

    /** A sixth of a capture off is a crease or a hand, and the other readings are good. */
    @ParameterizedTest
    @ValueSource(ints = {0, 4, 16})
    void aStillCaptureIsStillWithACreaseToo(int off) {
        for (int i = 0; i < 50; i++) {
            Capture light = capture(Capture.LIGHT, k -> k >= 40 && k < 40 + off ? 500 : 740, k -> 735);
            Survey found = survey(spot(Capture.DARK, 240, 236), light);
            assertThat(found.stop("left")).isEmpty();
            assertThat(found.stop("right")).isEmpty();
        }
    }

    @Test
    void aSweepThatMetNoDarkIsNamed() {
        Survey found =
                survey(spot(Capture.DARK, 240, 236), spot(Capture.LIGHT, 740, 735), spot(Capture.SWEEP, 740, 735));
        assertThat(found.between()).contains(new Finding.OneSurface("right", 735));
        assertThat(found.schools()).isEmpty();
        Survey both = survey(
                spot(Capture.DARK, 240, 236),
                spot(Capture.LIGHT, 740, 735),
                capture(Capture.SWEEP, i -> i % 20 < 8 ? 240 : 740, i -> i % 20 < 8 ? 236 : 735));
        assertThat(both.between()).noneMatch(f -> f instanceof Finding.OneSurface);
    }

    @Test
    void darkEqualToLightHasNoLevel() {
        Survey found = survey(spot(Capture.DARK, 740, 236), spot(Capture.LIGHT, 741, 735));
        assertThat(found.stop("left")).containsInstanceOf(Finding.TooAlike.class);
        assertThat(found.stop("right")).isEmpty();
    }

    @Test
    void plugsThatWereExchangedAreToldByWhatEachReadBefore() {
        Capture dark = spot(Capture.DARK, 240, 310);
        Capture light = spot(Capture.LIGHT, 740, 900);
        Survey found = survey(dark, light, spot(Capture.DARK, 310, 240), spot(Capture.LIGHT, 900, 740));
        assertThat(found.stop("left")).contains(new Finding.Exchanged("left", "right"));
        assertThat(found.stop("right")).contains(new Finding.Exchanged("left", "right"));
        assertThat(survey(dark, light, spot(Capture.DARK, 242, 306), spot(Capture.LIGHT, 730, 905))
                        .stop("left"))
                .isEmpty();
    }

    @Test
    void aLampThatIsOffIsToldByWhatAllReadBefore() {
        Capture dark = spot(Capture.DARK, 240, 236);
        Capture light = spot(Capture.LIGHT, 740, 735);
        Survey off = survey(dark, light, spot(Capture.DARK, 60, 55), spot(Capture.LIGHT, 130, 140));
        assertThat(off.stop("left")).containsInstanceOf(Finding.LampOff.class);
        assertThat(off.stop("right")).containsInstanceOf(Finding.LampOff.class);
        Survey one = survey(dark, light, spot(Capture.DARK, 60, 236), spot(Capture.LIGHT, 130, 735));
        assertThat(one.between()).as("one alone is not the lamps").noneMatch(f -> f instanceof Finding.LampOff);
    }

    @Test
    void whatIsLeftOutWidensNoContrast() {
        Capture light = capture(Capture.LIGHT, i -> i == 50 ? 20_000 : 740, i -> 735);
        SensorRanges ranges = SensorRanges.of(List.of(spot(Capture.DARK, 240, 236), light));
        assertThat(ranges.contrast("left")).isBetween(497.0, 503.0);
        Survey found = survey(spot(Capture.DARK, 240, 236), light);
        assertThat(found.pairs().get("left").contrast()).isBetween(499.0, 501.0);
    }

    @Test
    void aSensorCapturedAloneStandsBesideOlderReadingsOfTheOthers() {
        List<Reading> alone = List.of(
                new Reading(Double.NaN, "light", Double.NaN, new double[] {640}),
                new Reading(Double.NaN, "light", Double.NaN, new double[] {642}));
        Capture typed = new Capture("t", Capture.LIGHT, Instant.EPOCH, Capture.TYPED, List.of("right"), alone);
        Survey found = survey(spot(Capture.DARK, 240, 236), spot(Capture.LIGHT, 740, 735), typed);
        assertThat(found.pairs().get("left").light().mean()).isBetween(738.0, 742.0);
        assertThat(found.pairs().get("right").light().mean()).isEqualTo(641);
        assertThat(Survey.newest(List.of(typed), Capture.LIGHT, "left")).isEqualTo(Optional.empty());
    }
}
