package fahrbahn.core.response;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Options.Pattern;
import fahrbahn.core.setup.Options.Step;
import fahrbahn.core.setup.Setup;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What laws are told in besides gains: zones without steering, the parts that pairs of a row play, the patterns a line can show. */
class LawNumbersTest {
    private static Setup with(Setup setup, Options options) {
        return setup.withLaw(setup.law().withOptions(options));
    }

    /** On an edge the reading follows the normal distribution: 10 units either side of the middle lie within 0.2533 sigmas. */
    @Test
    void theZoneOfThreeStatesInMillimetres() {
        Setup three = with(Setups.edge(), Options.PLAIN.withSteps(List.of(new Step(10, 30)), 0));
        NeutralZone zone = NeutralZone.of(three).orElseThrow();
        double sigma = three.robot().sensors().get(0).spotSigmaMm();
        assertThat(zone.units()).isEqualTo(10);
        assertThat(zone.mm().widthMm()).isCloseTo(2 * 0.2533 * sigma, within(0.1));
        assertThat(NeutralZone.of(Setups.edge())).as("gains steer at once").isEmpty();
        assertThat(NeutralZone.of(with(Setups.edge(), Options.PLAIN.withSteps(List.of(new Step(0, 30)), 0))))
                .as("two states have none")
                .isEmpty();
    }

    /** SCIENCE, section 2: about (s - w)/2 - 2 sigma to each side. */
    @Test
    void aWidePairHasABlindBand() {
        Setup pair = Setups.pair();
        List<fahrbahn.core.setup.Sensor> wide = pair.robot().sensors().stream()
                .map(s -> s.withPlace(55, 2.2 * s.leftMm()))
                .toList();
        Setup blind = pair.withRobot(pair.robot().withSensors(wide));
        NeutralZone zone = NeutralZone.of(blind).orElseThrow();
        double expected = (52.8 - 24) / 2 - 2 * 3.4;
        assertThat(zone.mm().highMm()).isCloseTo(expected, within(0.8));
        assertThat(zone.mm().lowMm()).isCloseTo(-expected, within(0.8));
        assertThat(NeutralZone.of(pair)).isEmpty();
    }

    private static Setup patterns(Pattern... table) {
        Setup row = Setups.row(ErrorSignal.ARRAY_MEAN, 3, 20);
        Law law = row.law().withTarget(50).withSignal(ErrorSignal.PATTERN);
        return row.withLaw(law.withOptions(law.options().withPatterns(List.of(table))));
    }

    @Test
    void aPatternsStraightOnInMillimetres() {
        Setup row = patterns(new Pattern("010", 0), new Pattern("100", 30), new Pattern("001", -30));
        NeutralZone zone = NeutralZone.of(row).orElseThrow();
        // The middle one alone sees the 24 mm line while the outer ones are 12 mm or more off it: 8 mm to either side.
        assertThat(zone.mm().highMm()).isCloseTo(8, within(0.1));
        assertThat(zone.mm().lowMm()).isCloseTo(-8, within(0.1));
    }

    /** By hand: pairs at 10 and 30 mm over a line of 24 mm; in the middle only the inner one sees an edge. */
    @Test
    void innerPairsGiveTheSlopeAndOuterOnesTheReach() {
        for (ErrorSignal kind : List.of(ErrorSignal.ARRAY_DIFFERENCE, ErrorSignal.ARRAY_MEAN)) {
            List<PairShares> shares = PairShares.of(Setups.row(kind, 4, 20));
            assertThat(shares).extracting(PairShares::left).containsExactly("s1", "s0");
            assertThat(shares).extracting(PairShares::beside).containsExactly(10.0, 30.0);
            assertThat(shares.get(0).slopeShare()).isCloseTo(1, within(0.01));
            assertThat(shares.get(1).slopeShare()).isCloseTo(0, within(0.01));
            assertThat(shares.get(0).leadsFromMm()).isLessThan(1);
            assertThat(shares.get(1).leadsFromMm()).isBetween(10.0, 30.0);
            assertThat(shares.get(1).reachesMm()).isCloseTo(30 + 12 + 2 * 3.4, within(1.0));
        }
        assertThat(PairShares.of(Setups.pair())).isEmpty();
    }

    @Test
    void aLineShowsNeighboursAndNeverTwoSeparateOnes() {
        Setup row = patterns(new Pattern("010", 0));
        Set<String> codes = LineCodes.of(row);
        assertThat(codes).contains("000", "100", "010", "001", "110", "011").doesNotContain("101");
        assertThat(codes)
                .as("all three lie under a line that runs along the row")
                .contains("111");
    }
}
