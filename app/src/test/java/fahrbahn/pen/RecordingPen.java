package fahrbahn.pen;

import java.util.ArrayList;
import java.util.List;

/** Remembers what was drawn. */
public class RecordingPen implements Pen {
    /** One stroke of the pen. */
    public record Mark(String what, String ink, String words, double[] x, double[] y) {}

    public final List<Mark> marks = new ArrayList<>();

    @Override
    public void line(Stroke stroke, double[] x, double[] y) {
        marks.add(new Mark("line", stroke.ink(), "", x, y));
    }

    @Override
    public void area(String ink, double[] x, double[] y) {
        marks.add(new Mark("area", ink, "", x, y));
    }

    @Override
    public void dot(String ink, double x, double y, double radius) {
        marks.add(new Mark("dot", ink, "", new double[] {x}, new double[] {y}));
    }

    @Override
    public void text(String ink, String words, double x, double y, Anchor anchor, double times) {
        marks.add(new Mark("text", ink, words, new double[] {x}, new double[] {y}));
    }

    public List<Mark> of(String what, String ink) {
        return marks.stream()
                .filter(m -> m.what().equals(what) && m.ink().equals(ink))
                .toList();
    }

    public List<String> words() {
        return marks.stream().map(Mark::words).filter(w -> !w.isEmpty()).toList();
    }
}
