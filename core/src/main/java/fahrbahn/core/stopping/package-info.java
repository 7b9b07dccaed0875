/**
 * Where a program that decides to stop comes to rest, and what scatters that place: {@link fahrbahn.core.stopping.StopTrial} drives the twin
 * with its own variation along a line and lets every {@link fahrbahn.core.stopping.Rule} decide on the same runs;
 * {@link fahrbahn.core.statistics.StoppingRule} is the formula beside it.
 *
 * <p>A run comes to rest its delay and its wheels' lag after the tick that decided: v (d + tau) further on, in closed form. Places are those
 * of the turning point along the line, less their mean: where it stops in the mean a coach sets by one number, how it scatters not.
 */
package fahrbahn.core.stopping;
