/**
 * Bench measurements: constants of a robot from a ruler, a stopwatch and a few repetitions, each with its uncertainty.
 *
 * <p>{@link fahrbahn.core.measuring.Measured} is a value with its standard error. {@link fahrbahn.core.measuring.RollFit} makes free
 * speed and dead zone of rolled metres, {@link fahrbahn.core.measuring.SpinTurns} the effective track width of turns on the spot,
 * {@link fahrbahn.core.measuring.LoopCount} the loop time, {@link fahrbahn.core.measuring.WiggleTiming} the lag,
 * {@link fahrbahn.core.measuring.SlideFit} spot, place and readings. {@link fahrbahn.core.knowledge.Constant} names what can be
 * measured and {@link fahrbahn.core.knowledge.GuessCost} tells what not measuring it costs.
 */
package fahrbahn.core.measuring;
