/**
 * Readings: what sensors report, from a file or live, and the numbers one can trust about a surface.
 *
 * <p>One text form serves both, a header line and a line a tick; {@link fahrbahn.core.readings.Columns} understands a header and
 * then each row. {@link fahrbahn.core.readings.ReadingsFile} reads a whole file and refuses it at the first broken row;
 * {@link fahrbahn.core.readings.LineDecoder} reads a live stream and counts broken lines. Readings stay in the sensor's own
 * numbers; a missing time or position is NaN.
 */
package fahrbahn.core.readings;
