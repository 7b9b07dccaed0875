package fahrbahn.pen;

import java.util.List;

/** A picture of values over two axes: computes nothing, draws with any pen. Immutable. */
public interface Chart {
    String xLabel();

    String yLabel();

    /** What it shows, for those who cannot see it and for file names. */
    String title();

    /** What there is to see in it, in a sentence with its numbers, for those who cannot see it. */
    String says();

    Range x();

    Range y();

    void draw(Pen pen, Scale scale);

    /** What its lines are, where it does not say so itself. */
    default List<Key> keys() {
        return List.of();
    }

    /** From where to where an axis has to reach. */
    record Range(double low, double high) {}
}
