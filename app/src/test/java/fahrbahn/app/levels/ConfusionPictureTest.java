package fahrbahn.app.levels;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.marks.Confusions;
import fahrbahn.pen.RecordingPen;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class ConfusionPictureTest {
    @Test
    void rightIsADiscOnTheDiagonalWrongARingBesideItAndBothHaveTheirNumber() {
        Map<String, Integer> seen = new LinkedHashMap<>(Map.of());
        seen.put("dark", 20);
        seen.put("turn", 16);
        Confusions confusions = new Confusions(36, Map.of(new Confusions.Pair("turn", "none"), 4));
        RecordingPen pen = new RecordingPen();
        ConfusionPicture.draw(pen, new ConfusionPicture.Shown(confusions, seen), 400, 200);
        List<RecordingPen.Mark> discs = pen.of("dot", "ink-light");
        assertThat(discs).hasSize(2);
        assertThat(discs.get(1).x()[0]).isGreaterThan(discs.get(0).x()[0]);
        assertThat(discs.get(1).y()[0]).isGreaterThan(discs.get(0).y()[0]);
        RecordingPen.Mark ring = pen.of("line", "ink-edge").get(0);
        assertThat(ring.y()[0])
                .as("in the row of its surface")
                .isCloseTo(discs.get(1).y()[0], within(1e-9));
        assertThat(ring.x()[0])
                .as("in a column of its own")
                .isGreaterThan(discs.get(1).x()[0]);
        assertThat(pen.words()).contains("20", "12", "4", "no mark");
    }
}
