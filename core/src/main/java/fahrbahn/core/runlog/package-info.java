/**
 * What a robot's own log of a run tells: tick by tick its time, readings and, as far as it wrote them, error, steering and commands.
 *
 * <p>{@link fahrbahn.core.runlog.LogFigures} needs nothing else: loop time and jitter, the steady wiggle, the mean error, how often a wheel
 * was at its limit. {@link fahrbahn.core.runlog.LogFit} lays the loop's model over it and finds lag, delay, speed and slope;
 * {@link fahrbahn.core.runlog.LogFaults} names what is wrong, the likeliest first, with its evidence; both need the robot's setup. Start at
 * {@link fahrbahn.core.runlog.RunLog}.
 */
package fahrbahn.core.runlog;
