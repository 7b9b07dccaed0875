/**
 * What the coach sets: a {@link fahrbahn.core.setup.Setup} is a robot, the line it follows and the control law it runs.
 *
 * <p>Robot frame: origin at the point the robot turns about, x forward, y left, angles counter-clockwise. Lengths in mm,
 * times in s, angles in rad, speeds in mm/s; the unit is in the name. A <em>reading</em> is in the sensor's own numbers, a
 * <em>command</em> is what the program sends to the motors, and {@code fullCommand} is the command that means full power.
 *
 * <p>All values are immutable and refuse impossible numbers when they are made. Start at {@link fahrbahn.core.setup.Setup}.
 */
package fahrbahn.core.setup;
