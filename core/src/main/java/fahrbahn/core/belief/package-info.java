/**
 * What trials at a table tell about a robot, and which setting to try next. Unknown are lag, delay, free speed, effective width, the slope of
 * the reading (spot and height) and how much faster one wheel is; a {@link fahrbahn.core.belief.Belief} holds some hundreds of robots that may be
 * the one, each weighed by how well the twin, driven as it was, shows what was {@linkplain fahrbahn.core.trials.Outcome.Seen seen} (Gordon, Salmond and
 * Smith, IEE Proc. F 140, 1993, p. 107; the kernel that keeps them apart: Liu and West, 2001). Eyes err: no sight rules a robot out. A wrong sign, swapped
 * sensors and a wrong edge are held apart from all that and told first. {@link fahrbahn.core.next.NextTrial} drives candidate settings with robots drawn from
 * the belief and takes what promises most for the {@linkplain fahrbahn.core.tuning.race.Goal goal}.
 */
package fahrbahn.core.belief;
