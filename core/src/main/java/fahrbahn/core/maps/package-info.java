/**
 * Maps: how runs of the twin come out over two settings. {@link fahrbahn.core.maps.GainMap} drives an ensemble in each cell of a
 * grid over proportional and derivative gain, or over speed and proportional gain, coarse to fine; each pass yields a
 * {@link fahrbahn.core.maps.MapPicture} with the share of completed runs and their root mean square distance from the path, mm.
 * Gains per loop, speeds as base commands.
 */
package fahrbahn.core.maps;
