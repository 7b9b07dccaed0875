package fahrbahn.core.readings;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Setups;
import fahrbahn.core.colour.Channel;
import fahrbahn.core.setup.Robot;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ColourColumnsTest {
    private static final List<String> PAIR = List.of("left", "right");

    @ParameterizedTest
    @ValueSource(
            strings = {
                "left.red,left.green,left.blue,right.red,right.green,right.blue",
                "left_r,left_g,left_b,right_r,right_g,right_b",
                "leftRed,leftGreen,leftBlue,rightRed,rightGreen,rightBlue",
                "Left Red,Left Green,Left Blue,Right Red,Right Green,Right Blue",
                "right.blue,left.blue,right.red,left.red,right.green,left.green"
            })
    void threeColumnsAreOneSensor(String header) {
        List<String> columns = List.of(header.split(","));
        assertThat(ColumnMap.AS_NAMED.match(columns, PAIR))
                .extracting(ColumnMap.Match::sensor)
                .containsExactlyInAnyOrder("left", "right");
        assertThat(ColumnMap.AS_NAMED.asks(columns, PAIR)).isFalse();
        ColumnMap.Picker picker = ColumnMap.AS_NAMED.picker(columns, PAIR, Map.of("right", Channel.BLUE));
        assertThat(picker.sensors())
                .containsExactlyInAnyOrder(
                        "left",
                        "left.red",
                        "left.green",
                        "left.blue",
                        "right",
                        "right.red",
                        "right.green",
                        "right.blue");
        double[] values = columns.stream()
                .mapToDouble(c -> (c.toLowerCase().startsWith("left") ? 100 : 200)
                        + (c.toLowerCase().matches(".*(red|_r)")
                                ? 1
                                : c.toLowerCase().matches(".*(green|_g)") ? 2 : 6))
                .toArray();
        Reading picked = picker.pick(new Reading(0, "", Double.NaN, values));
        assertThat(picked.value(picker.sensors().indexOf("left")))
                .as("all light")
                .isEqualTo(103);
        assertThat(picked.value(picker.sensors().indexOf("right"))).as("blue").isEqualTo(206);
        assertThat(picked.value(picker.sensors().indexOf("left.green"))).isEqualTo(102);
    }

    @Test
    void columnsNamedByTheirColoursAloneAreALoneSensors() {
        List<String> rgb = List.of("red", "green", "blue");
        ColumnMap.Picker picker = ColumnMap.AS_NAMED.picker(rgb, List.of("eye"), Map.of("eye", Channel.GREEN));
        assertThat(picker.sensors()).containsExactly("eye", "eye.red", "eye.green", "eye.blue");
        assertThat(picker.pick(new Reading(0, "", Double.NaN, new double[] {0.2, 0.4, 0.9}))
                        .value(0))
                .isEqualTo(0.4);
        assertThat(ColumnMap.AS_NAMED.asks(rgb, PAIR)).as("of a pair: whose?").isTrue();
        assertThat(ColumnMap.AS_NAMED.with("colour", "right").match(rgb, PAIR))
                .extracting(ColumnMap.Match::sensor)
                .containsExactly("right");
    }

    @Test
    void twoOfThreeAreNoColourSensorAndOtherNamesAreLeftAlone() {
        assertThat(ColourColumns.names(List.of("left.red", "left.green", "right")))
                .hasSize(3);
        assertThat(ColourColumns.names(List.of("infrared", "evergreen", "r2")))
                .containsExactly("infrared", "evergreen", "r2");
        assertThat(ColourColumns.names(List.of("left", "right"))).containsExactly("left", "right");
        assertThat(ColourColumns.withoutChannels(List.of("left", "left.red", "left.green", "left.blue", "volts")))
                .containsExactly("left", "volts");
    }

    /** A capture remembers the channels: chosen anew, the same capture reads by another. */
    @Test
    void anotherChannelReadsAnOldCaptureAnew() {
        List<String> names = List.of("eye", "eye.red", "eye.green", "eye.blue");
        Reading reading = new Reading(0, "", Double.NaN, new double[] {120, 200, 100, 60});
        Capture capture = new Capture("c", Capture.LIGHT, Instant.EPOCH, "test", names, List.of(reading, reading));
        Robot edge = Setups.edge().robot();
        assertThat(ColourColumns.asSeen(capture, edge)).isSameAs(capture); // all light: the mean, as it was
        Robot blue = edge.withSensor(0, edge.sensors().get(0).withChannel(Channel.BLUE));
        assertThat(ColourColumns.asSeen(capture, blue).values("eye")).containsOnly(60);
        assertThat(ColourColumns.asSeen(capture, Setups.pair().robot())).isSameAs(capture);
    }
}
