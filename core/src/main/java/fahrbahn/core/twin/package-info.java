/**
 * The twin: the robot, its program and the table, tick by tick.
 *
 * <p>Each tick senses, computes the steering in the program's own order of operations and clamps it; the command takes effect
 * after the loop's delay. Between two changes of command the wheel speeds and the heading are integrated in closed form, so on
 * a straight line the twin is the sampled loop of {@link fahrbahn.core.loop} plus what that leaves out: the curve of the error,
 * clamps, noise and rounding.
 *
 * <p>What differs from run to run ({@link fahrbahn.core.sensing.Variation}): battery, lag, grip, light, sensor height, start place
 * and angle, jitter of the loop time, noise. A bump or a ramp lifts and lowers the sensors as the robot rides over it on its
 * wheels and one support; a slope changes its speed by the sine of its angle. Left out: skidding at speed, the weight moving
 * from wheel to wheel, shade.
 *
 * <p>A {@link fahrbahn.core.twin.Track} is a course as one robot's sensors see it, made once and shared by all runs;
 * {@link fahrbahn.core.twin.Twin} drives one run on it, an {@link fahrbahn.core.twin.Ensemble} many on all cores, the same for
 * the same seed on any number of them. Table frame as in {@link fahrbahn.core.table}.
 */
package fahrbahn.core.twin;
