/**
 * The twin: the robot, its program and the table, tick by tick.
 *
 * <p>Each tick senses, computes the steering in the program's own order of operations and clamps it; the command takes effect
 * after the loop's delay. Between two changes of command the wheel speeds and the heading are integrated in closed form, so on
 * a straight line the twin is the sampled loop of {@link fahrbahn.core.loop} plus what that leaves out: the curve of the error,
 * clamps, noise and rounding.
 *
 * <p>A {@link fahrbahn.core.twin.Track} is a course as one robot's sensors see it, made once and shared by all runs;
 * {@link fahrbahn.core.twin.Twin} runs it. Table frame as in {@link fahrbahn.core.table}.
 */
package fahrbahn.core.twin;
