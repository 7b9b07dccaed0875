package fahrbahn.core.quality;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.readings.Lamp;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.response.Spot;
import fahrbahn.core.setup.Setup;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SurveyTest {
    private static final List<String> SENSORS = List.of("left", "right");

    /** Both sensors read dark 12, light 78 in the setup; places 12 mm to each side of the middle. */
    private final Setup setup = Setups.pair();

    private final Random random = new Random(2);

    private Capture spot(String surface, Lamp lamp, double left, double right) {
        List<Reading> readings = new ArrayList<>();
        for (int i = 0; i < 100; i++) {
            double[] values = {left + 0.5 * random.nextGaussian(), right + 0.5 * random.nextGaussian()};
            readings.add(new Reading(0.01 * i, surface, Double.NaN, values));
        }
        return new Capture(
                surface + lamp, surface, Instant.EPOCH, "test", SENSORS, readings, Conditions.UNKNOWN.withLamp(lamp));
    }

    private Capture slide(double leftMm, double rightMm, boolean ruled) {
        List<Reading> readings = new ArrayList<>();
        for (int i = 0; i < 300; i++) {
            double place = -60 + 0.4 * i;
            double[] values = {seen(place + leftMm), seen(place + rightMm)};
            readings.add(new Reading(0.01 * i, "", ruled ? place : Double.NaN, values));
        }
        return new Capture("slide", Capture.SLIDE, Instant.EPOCH, "test", SENSORS, readings);
    }

    private double seen(double offset) {
        return 78 - 66 * Spot.coverage(offset, 24, 3.4) + 0.3 * random.nextGaussian();
    }

    @Test
    void darkAndLightArePairedAndOffLampsKeptApart() {
        Survey survey = Survey.of(
                List.of(
                        spot("dark", Lamp.ON, 12, 14),
                        spot("light", Lamp.ON, 78, 70),
                        spot("dark", Lamp.OFF, 3, 3),
                        spot("light", Lamp.OFF, 16.2, 3.1)),
                setup);
        assertThat(survey.pairs()).containsOnlyKeys("left", "right");
        assertThat(survey.pairs().get("left").contrast()).isCloseTo(66, within(0.3));
        assertThat(survey.rooms().get("left").share()).isCloseTo(0.2, within(0.01));
        assertThat(survey.rooms().get("left").matters()).isTrue();
        assertThat(survey.rooms().get("right").harmless()).isTrue();
        assertThat(survey.agreements())
                .singleElement()
                .satisfies(a -> assertThat(a.rawOnLight()).isCloseTo(-8, within(0.3)));
        assertThat(survey.between()).isEmpty();
    }

    /** Light captured twice, once under the name of dark: no figure is a share of a contrast that is not there. */
    @Test
    void oneSurfaceCapturedTwiceGivesNoShares() {
        Survey survey = Survey.of(
                List.of(
                        spot("dark", Lamp.ON, 78.1, 70.1),
                        spot("light", Lamp.ON, 78, 70),
                        spot("dark", Lamp.OFF, 3, 3),
                        spot("light", Lamp.OFF, 16.2, 3.1),
                        sweep()),
                setup);
        assertThat(survey.between()).extracting(Finding::getClass).containsOnly(Finding.TooAlike.class);
        assertThat(survey.stop("left")).isPresent();
        assertThat(survey.rooms()).isEmpty();
        assertThat(survey.schools()).isEmpty();
        assertThat(survey.agreements()).isEmpty();
    }

    private Capture sweep() {
        List<Reading> readings = new ArrayList<>();
        for (int i = 0; i < 300; i++) {
            double value = (i / 30 % 2 == 0 ? 12 : 78) + 0.5 * random.nextGaussian();
            readings.add(new Reading(0.01 * i, "", Double.NaN, new double[] {value, value}));
        }
        return new Capture("sweep", Capture.SWEEP, Instant.EPOCH, "test", SENSORS, readings);
    }

    @Test
    void whatIsKnownToNothingIsNoFigure() {
        assertThat(new RoomLight(910, 20_000, 1).known()).isFalse();
        assertThat(new RoomLight(0.2, 0.01, 1).known()).isTrue();
    }

    @Test
    void onlyWhatIsNewIsJudgedAgain() {
        List<Capture> two = List.of(spot("dark", Lamp.ON, 12, 14), spot("light", Lamp.ON, 78, 70));
        Survey first = Survey.of(two, setup);
        Survey again = Survey.of(two, setup.withLaw(setup.law().withBaseCommand(30)), first);
        assertThat(again.captures().get(0)).isSameAs(first.captures().get(0));
        assertThat(again).isEqualTo(first);
        // A reading beyond all before widens the range that drift and saturation are judged by.
        List<Capture> three = new ArrayList<>(two);
        three.add(spot("foil", Lamp.ON, 99, 50));
        Survey wider = Survey.of(three, setup, first);
        assertThat(wider.captures().get(0)).isNotSameAs(first.captures().get(0));
        assertThat(wider).isEqualTo(Survey.of(three, setup));
    }

    @Test
    void sensorsOnEachOthersPlugsAreFoundBySlidingWithARuler() {
        Survey right = Survey.of(List.of(slide(12, -12, true)), setup);
        assertThat(right.between()).isEmpty();
        assertThat(right.slides().get("left").centreMm().value()).isCloseTo(-12, within(0.2));
        Survey swapped = Survey.of(List.of(slide(-12, 12, true)), setup);
        assertThat(swapped.between()).containsExactly(new Finding.Swapped("left", "right"));
        Survey unruled = Survey.of(List.of(slide(-12, 12, false)), setup);
        assertThat(unruled.between()).as("by hand nobody knows which way").isEmpty();
        assertThat(unruled.slides().get("left").sigmaMm().value()).isCloseTo(3.4, within(0.03 * 3.4));
    }

    @Test
    void sensorsThatDisagreeOnAThirdSurfaceAreNamedWithHowMuch() {
        Survey survey = Survey.of(
                List.of(
                        spot("dark", Lamp.ON, 12, 14),
                        spot("light", Lamp.ON, 78, 74),
                        spot("carpet", Lamp.ON, 45, 56),
                        spot("edge", Lamp.ON, 20, 70)),
                setup);
        assertThat(survey.between()).singleElement().isInstanceOfSatisfying(Finding.Disagree.class, f -> {
            assertThat(f.surface()).isEqualTo("carpet");
            assertThat(f.percent()).isCloseTo(20, within(1.0)); // 0.5 and 0.7 of the way
        });
    }

    @Test
    void aSlideWithoutALineIsAProblemInWordsAndNoFit() {
        Survey survey = Survey.of(List.of(spot("slide", Lamp.ON, 50, 50)), setup);
        assertThat(survey.slides()).isEmpty();
        assertThat(survey.problems()).hasSize(2).allSatisfy(p -> assertThat(p).contains("no line among the readings"));
        assertThat(Survey.of(List.of(), setup).captures()).isEmpty();
    }

    private Capture mixed(String surface, double usual, double odd, int every) {
        List<Reading> readings = new ArrayList<>();
        for (int i = 0; i < 100; i++) {
            double mean = i % every == 0 ? odd : usual;
            double[] values = {mean + 0.5 * random.nextGaussian(), mean + 0.5 * random.nextGaussian()};
            readings.add(new Reading(0.01 * i, surface, Double.NaN, values));
        }
        return new Capture(
                surface + odd, surface, Instant.EPOCH, "test", SENSORS, readings, Conditions.UNKNOWN.withLamp(Lamp.ON));
    }

    /** Light with every twelfth reading on a crease that reads 96: it was captured, and is what they are. */
    @Test
    void oddReadingsAreTheCreaseThatWasCaptured() {
        List<Capture> captures = new ArrayList<>(
                List.of(spot("dark", Lamp.ON, 12, 12), mixed("light", 78, 96, 12), spot("crease", Lamp.ON, 96, 96)));
        CreaseCheck found = Survey.of(captures, setup).creases().get("left");
        assertThat(found.odd()).isEqualTo(9);
        assertThat(found.ofCrease()).isEqualTo(9);
        assertThat(found.explains()).isTrue();
        assertThat(found.bareShift())
                .as("halfway between 12 and the brightest of 96, less halfway to 78")
                .isCloseTo((96.5 - 78) / 2, within(0.6));
        captures.set(1, mixed("light", 78, 40, 12));
        CreaseCheck other = Survey.of(captures, setup).creases().get("left");
        assertThat(other.odd()).isEqualTo(9);
        assertThat(other.explains()).as("a hand, not the crease").isFalse();
        captures.remove(2);
        assertThat(Survey.of(captures, setup).creases()).isEmpty();
    }
}
