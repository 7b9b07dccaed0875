package fahrbahn.store.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.core.setup.Setup;
import fahrbahn.store.file.BadFileException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

public class SetupJsonTest {
    public static final String SETUP = """
            {"format": "fahrbahn-setup", "version": 1, "club": "ours",
             "robot": {"name": "Wren", "colour": "green",
               "drive": {"trackWidthMm": 118, "freeSpeedMmPerS": 480, "lagS": 0.04, "mixing": "inner-wheel", "fullCommand": 100},
               "loop": {"periodS": 0.012, "delayS": 0.005},
               "sensors": [{"name": "eye", "forwardMm": 44, "leftMm": 0, "spotSigmaMm": 2.9, "dark": 15, "light": 88,
                            "noise": 0.4, "step": 1, "lamp": "on"}]},
             "line": {"widthMm": 18, "polarity": "light-on-dark", "tightestRadiusMm": 140},
             "law": {"kind": "edge", "side": "left", "scale": "unit", "target": 0.5, "kp": 40, "ki": 0, "kd": 60, "baseCommand": 30}}
            """;

    @Test
    void whatIsReadIsWrittenAgainWithTheFieldsNobodyHereKnows() throws Exception {
        Setup setup = SetupJson.parse(SETUP);
        String written = SetupJson.writeOver(SETUP, setup.withLaw(setup.law().withGains(41, 0, 61)));
        assertThat(written).contains("\"club\" : \"ours\"", "\"colour\" : \"green\"", "\"lamp\" : \"on\"");
        assertThat(SetupJson.parse(written).law().kp()).isEqualTo(41);
        assertThat(SetupJson.parse(written).robot()).isEqualTo(setup.robot());
        assertThat(SetupJson.parse(SetupJson.write(setup))).isEqualTo(setup);
    }

    /** One change to a good file each, and what the message must name. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            "trackWidthMm": 118   | "trackWidthMm": -118     | robot.drive.trackWidthMm is -118
            "widthMm": 18         | "widthMm": -18           | line.widthMm is -18; it must be above 0
            "widthMm": 18         | "widthMm": 1e999         | line.widthMm is Infinity
            "lagS": 0.04          | "lagS": "slow"           | robot.drive.lagS is "slow"; it must be a number
            "inner-wheel"         | "sideways"               | "difference" or "inner-wheel"
            "kp": 40,             |                          | law.kp is missing
            "spotSigmaMm": 2.9    | "spotSigmaMm": 0         | robot.sensors[0].spotSigmaMm is 0
            "light": 88           | "light": 15              | robot.sensors[0].light is 15
            "delayS": 0.005       | "delayS": 9              | robot.loop.delayS is 9
            "version": 1          | "version": 2             | version is 2
            "kind": "edge"        | "kind": "pair"           | robot.sensors is 1
            "baseCommand": 30     | "baseCommand": 300       | law.baseCommand is 300
            "ki": 0,              | "ki": 0, "ki": 1,        | Duplicate
            "kp": 40,             | "kp": NaN,               | law.kp is NaN; it must be a number
            "noise":              | "noise": -Infinity, "x": | robot.sensors[0].noise is -Infinity
            "name": "Wren",       | "name": "Wren"           | Line 2 is not JSON
            """)
    void badFieldsAreNamedWithTheirValueAndTheRule(String good, String bad, String named) {
        String broken = SETUP.replace(good, bad == null ? "" : bad);
        assertThat(broken).isNotEqualTo(SETUP);
        assertThatThrownBy(() -> SetupJson.parse(broken))
                .isInstanceOf(BadFileException.class)
                .hasMessageContaining(named);
    }
}
