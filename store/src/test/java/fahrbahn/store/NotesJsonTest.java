package fahrbahn.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.core.measuring.Constant;
import fahrbahn.core.measuring.Fact;
import fahrbahn.core.measuring.Measured;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.ColumnMap;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.readings.Lamp;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.table.Draft;
import fahrbahn.core.table.Palette;
import fahrbahn.core.table.Pose;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The documents a season keeps beside setup and runs: each comes back as it went, and says what is wrong when it cannot. */
class NotesJsonTest {
    private static final Conditions FULL = new Conditions("Old boathouse", Lamp.OFF, 8.5, 7.6, "soft");

    @Test
    void conditionsComeBackAndWhatWasNotNotedStaysSo() throws Exception {
        assertThat(ConditionsJson.parse(ConditionsJson.write(FULL))).isEqualTo(FULL);
        assertThat(ConditionsJson.parse(ConditionsJson.write(Conditions.UNKNOWN)))
                .isEqualTo(Conditions.UNKNOWN);
        assertThat(ConditionsJson.parse("{}")).isEqualTo(Conditions.UNKNOWN);
        assertThatThrownBy(() -> ConditionsJson.parse("{\"batteryV\": -3}")).hasMessageContaining("batteryV is -3.0");
        assertThatThrownBy(() -> ConditionsJson.parse("{\"lamp\": \"dim\"}")).hasMessageContaining("\"on\" or \"off\"");
    }

    @Test
    void aFactComesBackWithItsEntriesAndCircumstances() throws Exception {
        Fact fact = new Fact(
                Constant.TRACK_WIDTH,
                new Measured(131.25, 0.8, 4),
                Instant.parse("2026-04-02T10:00:00Z"),
                List.of("120, 10, 21.4"),
                FULL,
                0.008);
        assertThat(FactJson.parse(FactJson.write(fact))).isEqualTo(fact);
        assertThatThrownBy(() -> FactJson.parse("{\"constant\": \"weight\"}")).hasMessageContaining("\"free speed\"");
    }

    @Test
    void capturesKeepTheirConditionsAndOldOnesHaveNone() throws Exception {
        List<Reading> readings = List.of(
                new Reading(0, "dark", Double.NaN, new double[] {1, 2}),
                new Reading(0.1, "dark", Double.NaN, new double[] {1, 3}));
        Capture capture = new Capture("c", "dark", Instant.EPOCH, "test", List.of("a", "b"), readings, FULL);
        assertThat(CaptureJson.parse("c", CaptureJson.write(capture))).isEqualTo(capture);
        String old = CaptureJson.write(capture).replaceFirst("\"conditions\":\\{[^}]*\\},", "");
        assertThat(old).doesNotContain("venue");
        assertThat(CaptureJson.parse("c", old).conditions()).isEqualTo(Conditions.UNKNOWN);
    }

    @Test
    void columnsEntriesAndDraftsComeBack() throws Exception {
        ColumnMap map = new ColumnMap(Map.of("x", "left", "volts", ColumnMap.NONE));
        assertThat(ColumnMapJson.parse(ColumnMapJson.write(map))).isEqualTo(map);
        List<List<Double>> rows = List.of(List.of(1.0, 2.5), List.of(3.0, -4.0));
        assertThat(EntriesJson.parse(EntriesJson.write(rows))).isEqualTo(rows);
        Draft empty = new Draft("Bare", 900, 700, new Pose(100, 50, 1), List.of(), false, Palette.USUAL);
        Draft back = CourseJson.parseDraft(CourseJson.write(empty));
        assertThat(back.parts()).isEmpty();
        assertThat(back.name()).isEqualTo("Bare");
        assertThatThrownBy(() -> CourseJson.parse(CourseJson.write(empty))).hasMessageContaining("at least one part");
    }
}
