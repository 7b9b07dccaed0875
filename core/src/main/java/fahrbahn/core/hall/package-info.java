/**
 * The shortest way from an unknown hall to a robot that may start: {@link fahrbahn.core.hall.HallStep}s, each with what it takes and what it is worth, and of
 * those that still fit the one that pays most ({@link fahrbahn.core.hall.HallAdvice}).
 *
 * <p>Worth is the share of starts that a step saves from going wrong. What the twin can tell, the worth of other levels under these lamps, it tells;
 * the others are shares of our own choosing, see {@link fahrbahn.core.hall.HallStep}: they order the steps, and nothing else is made of them.
 */
package fahrbahn.core.hall;
