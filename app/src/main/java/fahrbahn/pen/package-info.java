/**
 * What draws without a window: a {@link fahrbahn.pen.Pen} is told lines, areas and words, and writes them as vectors or pixels; a
 * {@link fahrbahn.pen.Chart} draws core values with any of them, so that what is printed is what was seen. Places are in the pen's own units, y
 * downwards; colours are named by their ink.
 */
package fahrbahn.pen;
