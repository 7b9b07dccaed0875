package fahrbahn.core.tuning;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Setups;
import fahrbahn.core.law.UsualLaws;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Setup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Laws as they begin come round a wide bend, every kind of them; and gaps are crossed by those that go straight on over them. */
class LawTrialTest {
    private static final double WIDE_MM = 350;

    private static Setup gentle(Setup setup) {
        Line line = new Line(setup.line().widthMm(), setup.line().polarity(), WIDE_MM);
        return setup.withLine(line).withLaw(setup.law().withBaseCommand(25));
    }

    private static Setup with(Setup setup, Options options) {
        return setup.withLaw(setup.law().withOptions(options));
    }

    @ParameterizedTest
    @CsvSource({"1, false", "1, true", "2, true", "3, true"})
    void anEdgeRiderInSteps(int count, boolean zone) {
        Setup edge = gentle(Setups.edge());
        LawTrial trial = LawTrial.of(with(edge, Options.PLAIN.withSteps(UsualLaws.steps(edge, count, zone), 0)));
        assertThat(trial.comesRound()).as("%s", trial).isTrue();
        assertThat(trial.longestGapMm())
                .as("one sensor on ground turns to its line")
                .isLessThan(200);
    }

    @ParameterizedTest
    @CsvSource({"4", "5", "6"})
    void aRowByTheTableOfItsMiddles(int sensors) {
        Setup row = gentle(Setups.row(ErrorSignal.ARRAY_MEAN, sensors, 11));
        Options table = Options.PLAIN.withPatterns(UsualLaws.patterns(row));
        Setup pattern = row.withLaw(
                row.law().withOptions(table).withSignal(ErrorSignal.PATTERN).withTarget(50));
        LawTrial trial = LawTrial.of(pattern);
        assertThat(trial.comesRound()).as("%s", trial).isTrue();
        assertThat(UsualLaws.patterns(row)).hasSize(sensors * (sensors + 1) / 2);
    }

    @Test
    void aPairGoesStraightOnOverGapsAndAnEdgeRiderDoesNot() {
        LawTrial pair = LawTrial.of(gentle(Setups.pair()));
        LawTrial edge = LawTrial.of(gentle(Setups.edge()));
        assertThat(pair.comesRound()).isTrue();
        assertThat(pair.longestGapMm()).isGreaterThanOrEqualTo(100);
        assertThat(edge.longestGapMm()).isLessThan(pair.longestGapMm());
    }
}
