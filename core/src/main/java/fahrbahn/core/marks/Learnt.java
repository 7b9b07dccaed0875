package fahrbahn.core.marks;

import fahrbahn.core.colour.ColourRule;
import java.util.List;

/**
 * What a school has learnt.
 *
 * @param constants what a coach's program needs of it, a line each
 */
record Learnt(ColourRule rule, List<Constant> constants) {
    /** @param name what the number is of, words in the order surface, channel, what */
    record Constant(String name, double value) {}
}
