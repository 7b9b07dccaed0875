/**
 * The table: a course of parts, the path it makes, and the picture of it that sensors look at.
 *
 * <p>Table frame: origin at a corner, x along the table, y across it to the left of x, mm; headings counter-clockwise from x,
 * rad. A {@link fahrbahn.core.table.Course} is what is laid, a {@link fahrbahn.core.path.Path} measures along it by arc length,
 * a {@link fahrbahn.core.raster.Raster} holds how much of each cell the line covers. Blurring the raster with a sensor's spot
 * once turns every later reading into one bilinear look-up, whatever is drawn.
 */
package fahrbahn.core.table;
