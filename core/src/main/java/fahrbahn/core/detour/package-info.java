/**
 * Round an obstacle on the line: the robot turns to one side by an angle, drives an arc back towards the line, and takes it up again where a
 * sensor meets it: straight on until it stands over the line, and back along it. {@link fahrbahn.core.detour.Detour} has the geometry and the wheel commands, {@link fahrbahn.core.detour.DetourTrial} what
 * becomes of it when battery, grip and wheels differ.
 *
 * <p>Frame: the line along x, the obstacle's middle at the origin, the robot coming from -x; detours to the left, those to the right are their
 * mirror image. The robot turns on the spot about its turning point, at a distance from the obstacle that its sensing leaves.
 *
 * <pre>start (-a, 0), heading alpha; circle of radius R about (-a + R sin alpha, -R cos alpha);
 * the turning point is on the line again at x = -a + 2 R sin alpha, heading -alpha;
 * wheels in the ratio (R - b/2)/(R + b/2)</pre>
 *
 * <p>Left out: what the turn on the spot itself errs by, and a line that bends beside the obstacle.
 */
package fahrbahn.core.detour;
