package fahrbahn.words;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.quality.Agreement;
import fahrbahn.core.quality.Finding;
import fahrbahn.core.quality.RoomLight;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class FindingWordsTest {
    private static final List<Finding> EACH = List.of(
            new Finding.Outliers("left", 2, 80, 0.11, 0.52),
            new Finding.Burst("left", 5, 0.61, 0.65, 150),
            new Finding.Drift("left", 61.2, 55, 70, 0.12),
            new Finding.Saturated("left", 1023, 0.4),
            new Finding.Stuck("left", 512),
            new Finding.Unmoved("left", 64),
            new Finding.TooFew("left", 11, 80, 0.69),
            new Finding.TooAlike("left", 21, 4),
            new Finding.FewSteps("left", 12),
            new Finding.Swapped("left", "right"),
            new Finding.SurfacesSwapped("left"),
            new Finding.Disagree("left", "right", "carpet", 18.2),
            new Finding.AirLooksLike("left", "dark", 1.2),
            new Finding.Unsettled("left", 3, 4, 2.13),
            new Finding.Exchanged("left", "right"),
            new Finding.LampOff("left", 130, 740),
            new Finding.OneSurface("left", 735),
            new Finding.Moved("left", 740, 240),
            new Finding.NoSurface("left", -1, 6, 80));

    @Test
    void everyFindingHasWordsWithItsNumbers() {
        assertThat(EACH.stream().map(Object::getClass).collect(Collectors.toSet()))
                .as("one of each kind")
                .isEqualTo(Arrays.stream(Finding.class.getPermittedSubclasses()).collect(Collectors.toSet()));
        assertThat(EACH.stream().map(FindingWords::of).collect(Collectors.toSet()))
                .hasSameSizeAs(Set.copyOf(EACH))
                .allSatisfy(words -> assertThat(words).contains("left").endsWith("."));
    }

    @Test
    void noDriftIsMoreThanTheContrast() {
        assertThat(FindingWords.of(EACH.get(2))).contains("61 (55 to 70), 12 % of its contrast");
        assertThat(FindingWords.of(new Finding.Drift("left", 17_000, 16_000, 18_000, 1)))
                .isEqualTo(
                        "Sensor left drifts by its whole contrast or more in ten minutes: it moved, or the light changed. Hold it"
                                + " still, then capture again.");
    }

    @Test
    void theWordsCarryTheNumbersAndTheNextStep() {
        assertThat(FindingWords.of(EACH.get(0)))
                .isEqualTo("Sensor left jumped 2 times, between 0.11 s and 0.52 s; left out.");
        assertThat(FindingWords.of(EACH.get(6)))
                .isEqualTo("Sensor left has too few readings, 11 of 80: 0.69 more seconds.");
        assertThat(FindingWords.of(EACH.get(11)))
                .isEqualTo("On carpet, right reads 18 % lighter than left even when scaled: check both heights.");
        assertThat(FindingWords.of(new Finding.TooFew("a", 3, 80, Double.NaN))).endsWith("capture longer.");
    }

    @Test
    void sensorsAndRoomsAreToldInPercent() {
        assertThat(FindingWords.of(new Agreement("left", "right", -86, -45.2, 17, 0.85)))
                .contains("reads -86 on light and -45.2 on dark against left, 17 % of the contrast", "agree to 0.85 %");
        assertThat(FindingWords.of("left", new RoomLight(0.09, 0.001, 4.5))).contains("takes 9 % (± 0.2)", "Shade it");
        assertThat(FindingWords.of("left", new RoomLight(0.01, 0.001, 0.5))).contains("another venue will not matter");
        assertThat(FindingWords.of("left", new RoomLight(0.05, 0.02, 2.5))).contains("not sure yet");
    }
}
