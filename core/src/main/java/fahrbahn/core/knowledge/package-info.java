/**
 * What is known of a robot, how well, and what rests on it. A {@link fahrbahn.core.knowledge.Constant} is a number everything is
 * computed from; a {@link fahrbahn.core.knowledge.Fact} is one that was measured; {@link fahrbahn.core.knowledge.Knowledge} is its
 * value with what not knowing it better costs. Every result has a {@link fahrbahn.core.knowledge.Basis}, and
 * {@link fahrbahn.core.knowledge.Since} is the one place that says what has changed after, as values. Left out: which station minds
 * which change; that is the interface's graph.
 */
package fahrbahn.core.knowledge;
