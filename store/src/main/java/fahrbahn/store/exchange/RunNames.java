package fahrbahn.store.exchange;

import java.util.function.UnaryOperator;

/**
 * What a season calls what its runs point to, so that a file of runs can be read by people and by another season.
 *
 * @param robot by identifier
 * @param venue by identifier
 */
public record RunNames(UnaryOperator<String> robot, UnaryOperator<String> venue) {}
