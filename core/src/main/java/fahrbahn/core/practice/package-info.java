/**
 * Bench measurements to be practised on a robot that is not there: what a coach would see of it, moment by moment, and nothing of what it is.
 *
 * <p>{@link fahrbahn.core.practice.Showing} is what is seen; {@link fahrbahn.core.practice.RollShowing} rolls along a ruler,
 * {@link fahrbahn.core.practice.SpinShowing} turns on the spot, {@link fahrbahn.core.practice.LoopShowing} counts its loops on its display,
 * {@link fahrbahn.core.practice.WiggleShowing} wiggles along a straight line as the twin does, {@link fahrbahn.core.practice.SlideShowing}
 * is moved across a line by hand. Each takes the robot as it truly is ({@link fahrbahn.core.knowledge.HiddenRobot}), and is measured by what
 * {@link fahrbahn.core.measuring} makes of it. Frames and units as everywhere: x along the ruler or the line, y to its left, mm, s, rad.
 */
package fahrbahn.core.practice;
