package fahrbahn.pen;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;

/** Whether the labels of a chart lie free of its lines, of each other and of the edge. */
public final class FreeLabels {
    private FreeLabels() {}

    /** @return how many labels there are */
    public static int in(Chart chart, double width, double height) {
        RecordingPen pen = new RecordingPen();
        chart.draw(pen, Scale.of(chart, width, height));
        List<Labels.Box> boxes = boxes(pen);
        apart(boxes, width, height);
        for (RecordingPen.Mark line : pen.marks) {
            for (int i = 1; line.what().equals("line") && i < line.x().length; i++) {
                int k = i;
                assertThat(boxes)
                        .as(
                                "%s from %.0f, %.0f to %.0f, %.0f in %s",
                                line.ink(), line.x()[k - 1], line.y()[k - 1], line.x()[k], line.y()[k], chart.title())
                        .noneMatch(b -> b.crossedBy(line.x()[k - 1], line.y()[k - 1], line.x()[k], line.y()[k]));
            }
        }
        return boxes.size();
    }

    static List<Labels.Box> boxes(RecordingPen pen) {
        List<Labels.Box> boxes = new ArrayList<>();
        for (RecordingPen.Mark mark : pen.marks) {
            if (mark.what().equals("text")) {
                boxes.add(box(pen, mark.words(), mark.x()[0], mark.y()[0]));
            }
        }
        return boxes;
    }

    /** That words take whose left end and base line are there. */
    static Labels.Box box(Pen pen, String words, double left, double y) {
        double top = y - Labels.ABOVE * pen.lineHeight();
        return new Labels.Box(left, top, left + pen.width(words), top + pen.lineHeight());
    }

    static void apart(List<Labels.Box> boxes, double width, double height) {
        for (int i = 0; i < boxes.size(); i++) {
            assertThat(boxes.get(i).left()).isGreaterThanOrEqualTo(0);
            assertThat(boxes.get(i).top()).isGreaterThanOrEqualTo(0);
            assertThat(boxes.get(i).right()).isLessThanOrEqualTo(width);
            assertThat(boxes.get(i).bottom()).isLessThanOrEqualTo(height);
            for (int k = i + 1; k < boxes.size(); k++) {
                assertThat(boxes.get(i).meets(boxes.get(k)))
                        .as(boxes.get(i) + " and " + boxes.get(k))
                        .isFalse();
            }
        }
    }
}
