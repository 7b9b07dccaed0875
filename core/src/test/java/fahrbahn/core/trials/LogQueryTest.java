package fahrbahn.core.trials;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.core.Setups;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Setting;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.setup.Setup;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LogQueryTest {
    private static LogLine line(String words, double timeS, double volts, double kp) {
        Setup setup = Setups.pair();
        Basis basis = Basis.of(Instant.EPOCH, Conditions.UNKNOWN.withBatteryV(volts))
                .withSetting(new Setting("s" + kp, setup.withLaw(setup.law().withGains(kp, 0, 0))));
        return new LogLine(new Run(words, Run.Source.TABLE, "r", basis, Outcome.of(true, timeS), words), words);
    }

    private static final List<LogLine> BOOK = List.of(
            line("gym ran #wet", 11.5, 7.9, 1),
            line("gym LOST", Double.NaN, 7.4, 1.2),
            line("hall ran twin", 13.25, Double.NaN, 1.2));

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "''|3",
                "gym|2",
                "lost|1",
                "gym ran|1",
                "-twin ran|1",
                "#wet|1",
                "time<12|1",
                "time>=11.5|2",
                "time=13.3|1",
                "time>0 -hall|1",
                "volts<7.5|1",
                "kp>1 gym|1",
                "kp<=1.2|3",
                "time<12,5|1",
                "-|0"
            })
    void termsMustAllHold(String typed, int found) {
        assertThat(LogQuery.parse(typed).among(BOOK)).hasSize(found);
    }

    @Test
    void whatCannotBeSearchedIsNamed() {
        assertThatThrownBy(() -> LogQuery.parse("speed<3"))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("'speed'")
                .hasMessageContaining("time, along");
        assertThatThrownBy(() -> LogQuery.parse("time<fast"))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("'fast'");
    }

    @Test
    void tagsStandInTheNote() {
        assertThat(BOOK.get(0).run().tags()).containsExactly("#wet");
        assertThat(BOOK.get(0).run().withNote("#a b #c-d, #a").tags()).containsExactly("#a", "#c-d");
        assertThat(BOOK.get(1).run().tags()).isEmpty();
    }
}
