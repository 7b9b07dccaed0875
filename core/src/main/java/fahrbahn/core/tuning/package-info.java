/**
 * Gains that the twin has tried: loop theory proposes pairs that keep their margins, and what a robot makes of them on the tightest
 * bend, its battery, lag, grip, light and start varied, decides between them.
 *
 * <p>Left out: corners, gaps, crossings; the course in hand is driven in {@link fahrbahn.core.twin}. Start at
 * {@link fahrbahn.core.tuning.TwinAdvisor}.
 */
package fahrbahn.core.tuning;
