/**
 * Gains that the twin has tried: loop theory proposes pairs that keep their margins, and what a robot makes of them on the tightest
 * bend, its battery, lag, grip, light and start varied, decides between them.
 *
 * <p>Left out: corners, gaps, crossings; gains and speed for a whole course are raced in {@link fahrbahn.core.tuning.race}. Start at
 * {@link fahrbahn.core.tuning.TwinAdvisor}.
 */
package fahrbahn.core.tuning;
