package fahrbahn.store.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import fahrbahn.core.levels.LevelSchool;
import fahrbahn.core.levels.LevelTable;
import fahrbahn.core.levels.SensorLevels;
import fahrbahn.core.marks.MarkComparison;
import fahrbahn.core.marks.MarkSample;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Levels as another program gets them. */
class LevelsFileTest {
    @TempDir
    private Path folder;

    private static Setup pair() {
        Drive drive = new Drive(124, 560, 0.04, Mixing.DIFFERENCE, 100);
        List<Sensor> sensors =
                List.of(new Sensor("left", 55, 12, 3.4, 12, 78, 1, 1), new Sensor("right", 55, -12, 3.4, 12, 78, 1, 1));
        Robot robot = new Robot("Wren", drive, new Loop(0.01, 0), sensors);
        Law law = new Law(ErrorSignal.PAIR, Side.LEFT, Scale.PERCENT, 50, 0.2, 0, 0, 40);
        return new Setup(robot, new Line(24, Polarity.DARK_ON_LIGHT, 160), law);
    }

    private static List<LevelTable> tables(Setup setup) {
        SensorLevels levels = SensorLevels.of("left", new double[] {11, 12, 13, 12}, new double[] {77, 79, 78, 78}, 1);
        return List.of(LevelTable.of(
                levels, setup.robot().sensors().get(0), setup.line(), new double[] {44, 46}, OptionalDouble.of(50)));
    }

    private static Optional<MarkComparison> marks() {
        List<MarkSample> samples = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            samples.add(new MarkSample("dark", "", 10 + i, 12, 11 + i % 2));
            samples.add(new MarkSample("light", "", 90 + i, 88, 80 + i % 2));
            samples.add(new MarkSample("turn", "", 30 + i, 70, 50 + i % 2));
        }
        return Optional.of(MarkComparison.of(samples));
    }

    @Test
    void jsonAndCsvHaveTheSameNumbers() throws Exception {
        Setup setup = pair();
        Path json = folder.resolve("levels.json");
        LevelsFile.write(json, setup, tables(setup), LevelSchool.TYPED, marks());
        JsonNode root = new ObjectMapper().readTree(json.toFile());
        JsonNode left = root.get("sensors").get("left");
        assertThat(left.get("level").doubleValue()).isEqualTo(50);
        assertThat(left.get("levels").get("midpoint").doubleValue()).isEqualTo(45);
        assertThat(left.get("scaling").get("subtract").doubleValue()).isEqualTo(12);
        assertThat(left.get("scaling").get("times").doubleValue()).isCloseTo(100 / 66.0, within(1e-12));
        assertThat(root.get("marks").get("constants").size()).isPositive();

        Path csv = folder.resolve("levels.csv");
        LevelsFile.write(csv, setup, tables(setup), LevelSchool.TYPED, Optional.empty());
        assertThat(Files.readString(csv))
                .startsWith("name,value\n")
                .contains("sensors left level,50.0\n", "sensors left levels midpoint,45.0\n")
                .doesNotContain("marks");
    }
}
