package fahrbahn.pen;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.club.RobotKind;
import fahrbahn.card.LaneChart;
import fahrbahn.core.tuning.LanePicture;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Labels lie free of lines, of each other and of the edge wherever there is room. */
class LabelsTest {
    private static final double WIDTH = 600;
    private static final double HEIGHT = 360;

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void amongLinesAndPointsWithRoomBetweenThem(long seed) {
        Random random = new Random(seed);
        RecordingPen pen = new RecordingPen();
        Labels labels = new Labels(pen, WIDTH, HEIGHT);
        List<double[]> lines = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            double[] line = {
                random.nextDouble() * WIDTH,
                random.nextDouble() * HEIGHT,
                random.nextDouble() * WIDTH,
                random.nextDouble() * HEIGHT
            };
            lines.add(line);
            labels.free(line[0], line[1], line[2], line[3]);
        }
        for (int i = 0; i < 6; i++) {
            labels.put("ink-text", "label " + i, random.nextDouble() * WIDTH, random.nextDouble() * HEIGHT);
        }
        List<Labels.Box> boxes = FreeLabels.boxes(pen);
        assertThat(boxes).hasSize(6);
        FreeLabels.apart(boxes, WIDTH, HEIGHT);
        for (Labels.Box box : boxes) {
            assertThat(lines).noneMatch(line -> box.crossedBy(line[0], line[1], line[2], line[3]));
        }
    }

    @Test
    void aLineCrossesABoxWhenAnyOfItsPointsLiesInside() {
        Labels.Box box = new Labels.Box(10, 10, 30, 20);
        Random random = new Random(7);
        for (int i = 0; i < 20_000; i++) {
            double[] l = random.doubles(4, 0, 40).toArray();
            boolean inside = false;
            for (double t = 0; t <= 1 && !inside; t += 1e-3) {
                double x = l[0] + t * (l[2] - l[0]);
                double y = l[1] + t * (l[3] - l[1]);
                inside = x > 10 && x < 30 && y > 10 && y < 20;
            }
            boolean crossed = box.crossedBy(l[0], l[1], l[2], l[3]);
            assertThat(!inside || crossed).as("%s", (Object) l).isTrue();
            // The steps may miss a corner that is cut by less than they are long.
            assertThat(!crossed || inside || nearCorner(l)).as("%s", (Object) l).isTrue();
        }
    }

    private static boolean nearCorner(double[] l) {
        for (double[] corner : new double[][] {{10, 10}, {30, 10}, {10, 20}, {30, 20}}) {
            double dx = l[2] - l[0];
            double dy = l[3] - l[1];
            double away = Math.abs((corner[0] - l[0]) * dy - (corner[1] - l[1]) * dx) / Math.hypot(dx, dy);
            if (away < 0.1) {
                return true;
            }
        }
        double endAway = Math.min(
                Math.min(Math.abs(l[0] - 10), Math.abs(l[0] - 30)), Math.min(Math.abs(l[1] - 10), Math.abs(l[1] - 20)));
        return endAway < 0.1;
    }

    @ParameterizedTest
    @EnumSource(RobotKind.class)
    void onTheLaneOfEveryKindOfRobot(RobotKind kind) {
        LaneChart chart = new LaneChart(LanePicture.of(kind.setup("Wren")));
        // What is below the lane is named once: in the picture, or by the axis where no words fit below.
        int below = chart.xLabel().contains("leaves the bends") ? 0 : 1;
        assertThat(FreeLabels.in(chart, 700, 400)).isGreaterThanOrEqualTo(2 + below);
    }
}
