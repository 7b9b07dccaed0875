/**
 * Drills for the trained eye. {@link fahrbahn.core.drill.Drill} shows what one {@link fahrbahn.core.drill.DrillFault} does to a robot that nobody has seen before:
 * the log of a run with its way and laps, or readings of a robot held still. {@link fahrbahn.core.drill.DrillMaker} draws robot and fault from a seed, drives
 * the twin, and gives the drill only where our own analysis names the fault from what is shown ({@link fahrbahn.core.drill.OwnEye}): what that cannot see
 * is not asked. {@link fahrbahn.core.drill.DrillScore} keeps the score of each fault and draws hard ones sooner.
 */
package fahrbahn.core.drill;
