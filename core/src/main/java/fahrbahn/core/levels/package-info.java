/**
 * From readings on dark and light to the level between them, how often it misreads, and the band about it.
 *
 * <p>Each surface is a normal distribution with the cleaned mean and standard deviation of
 * {@link fahrbahn.core.readings.SurfaceStats}; Q is the normal's upper tail. High readings may mean light or dark; the sign is
 * found from the means. All levels are in the sensor's own numbers. Start at {@link fahrbahn.core.levels.Levels}.
 */
package fahrbahn.core.levels;
