package fahrbahn.core.readings;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.readings.ColumnMap.How;
import fahrbahn.core.readings.ColumnMap.Match;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class ColumnMapTest {
    private static final List<String> ROBOT = List.of("left", "right");

    @Test
    void columnsAreFoundByNameWhateverTheirCase() {
        assertThat(ColumnMap.AS_NAMED.match(List.of("Right ", "LEFT", "gyro"), ROBOT))
                .containsExactly(
                        new Match("Right ", "right", How.BY_NAME),
                        new Match("LEFT", "left", How.BY_NAME),
                        new Match("gyro", "", How.LEFT_OUT));
    }

    @Test
    void columnsWithoutNamesOfTheirOwnGoByPlaceWhenThereAreAsManyAsSensors() {
        assertThat(ColumnMap.AS_NAMED.match(List.of("sensor 1", "sensor 2"), ROBOT))
                .containsExactly(
                        new Match("sensor 1", "left", How.BY_PLACE), new Match("sensor 2", "right", How.BY_PLACE));
        assertThat(ColumnMap.AS_NAMED.asks(List.of("sensor 1", "sensor 2", "sensor 3"), ROBOT))
                .as("three cannot be two")
                .isTrue();
    }

    /** Two sensors were once taken for the first two of sixteen columns. */
    @Test
    void columnsOfOtherNamesAreAskedForAndNeverTakenByPlace() {
        List<String> sixteen = IntStream.range(0, 16).mapToObj(i -> "photo" + i).toList();
        assertThat(ColumnMap.AS_NAMED.match(sixteen, ROBOT))
                .extracting(Match::how)
                .containsOnly(How.ASKED);
        assertThat(ColumnMap.AS_NAMED.asks(sixteen, ROBOT)).isTrue();
        assertThat(ColumnMap.AS_NAMED.inOrder(sixteen, ROBOT)).isEmpty();

        List<String> two = List.of("port 2", "port 3");
        assertThat(ColumnMap.AS_NAMED.asks(two, ROBOT)).isTrue();
        ColumnMap said = ColumnMap.AS_NAMED.inOrder(two, ROBOT).orElseThrow();
        assertThat(said.match(two, ROBOT))
                .containsExactly(new Match("port 2", "left", How.BY_HAND), new Match("port 3", "right", How.BY_HAND));
        assertThat(said.asks(two, ROBOT)).isFalse();
        assertThat(ColumnMap.AS_NAMED.asks(List.of("left", "gyro", "right"), ROBOT))
                .as("every sensor has its column")
                .isFalse();
    }

    @Test
    void whatIsSaidByHandGoesFirstAndTheRestFollows() {
        ColumnMap map = new ColumnMap(Map.of("volts", ColumnMap.NONE)).with("x", "right");
        assertThat(map.match(List.of("volts", "x", "y"), ROBOT))
                .containsExactly(
                        new Match("volts", "", How.LEFT_OUT),
                        new Match("x", "right", How.BY_HAND),
                        new Match("y", "y", How.ASKED));
        ColumnMap.Picker picker = map.with("y", "left").picker(List.of("volts", "x", "y"), ROBOT, Map.of());
        assertThat(picker.sensors()).containsExactly("right", "left");
        Reading picked = picker.pick(new Reading(0.5, "dark", 12, new double[] {7400, 1, 2}));
        assertThat(picked).isEqualTo(new Reading(0.5, "dark", 12, new double[] {1, 2}));
    }

    @Test
    void nothingIsCopiedWhereEveryColumnIsASensor() {
        ColumnMap.Picker picker = ColumnMap.AS_NAMED.picker(ROBOT, ROBOT, Map.of());
        Reading reading = new Reading(0, "", 0, new double[] {1, 2});
        assertThat(picker.pick(reading)).isSameAs(reading);
    }

    @Test
    void twoColumnsOfOneSensorAreOnlyPickedOnce() {
        ColumnMap map = new ColumnMap(Map.of("a", "left", "b", "left"));
        assertThat(map.picker(List.of("a", "b"), ROBOT, Map.of()).sensors()).containsExactly("left");
    }

    @Test
    void theLoggerNamesTheSensorsAndNoLibrary() {
        List<String> sensors = List.of("left", "Far right");
        for (String text : List.of(LoggerText.python(sensors), LoggerText.cpp(sensors), LoggerText.blocks(sensors))) {
            assertThat(text)
                    .contains("tS,left,Far right")
                    .contains("Motors off")
                    .doesNotContain("import ");
        }
        assertThat(LoggerText.python(sensors)).contains("def read_left():", "read_left(), read_far_right()");
        assertThat(LoggerText.cpp(sensors)).contains("int read_far_right()", "\"%lu.%03lu,%d,%d\\n\"");
        assertThat(LoggerText.cpp(List.of("3rd"))).contains("int read_s3rd()");
    }
}
