/**
 * The control law at work.
 *
 * <p>Once per loop period, from scaled readings to one steering command u, positive to the left, in command units:
 *
 * <pre>
 * gains     u = sign * (kp*err + ki*sum(err) + kd*(err - previous err))      per-loop gains
 * steps     u = sign * staircase(err)                                        two-state, three-state, graded
 * patterns  u = table(pattern)                                               on/off sensors
 * </pre>
 *
 * The error is made by {@link fahrbahn.core.response.ErrorRule}; sign is that of the cure, found from the slope of the error
 * curve. Before the law goes what every program puts before it: straight on for a while after a crossing, an emergency sensor
 * that meets the line, a line that is lost. Last, the steering is clamped and the base command lowered in proportion.
 *
 * <p>The twin runs this {@link fahrbahn.core.law.Controller} and its numbers are the ones that are handed over, so what was
 * tried is what is exported. {@link fahrbahn.core.law.GainUnits} converts between per-loop and per-second gains and scales.
 */
package fahrbahn.core.law;
