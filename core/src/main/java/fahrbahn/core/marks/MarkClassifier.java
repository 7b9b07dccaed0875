package fahrbahn.core.marks;

import java.util.List;

/** A school at work: what surface features are taken for. */
interface MarkClassifier {
    /** No surface that it knows. */
    String NONE = "none";

    /** @param features in the space of the school that made it */
    String take(double[] features);

    /** What a program needs of it, a line each: a name and its number. */
    List<Constant> constants();

    /** @param name what the number is of, words in the order surface, channel, what */
    record Constant(String name, double value) {}
}
