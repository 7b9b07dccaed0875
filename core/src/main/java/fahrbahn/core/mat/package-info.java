/**
 * Mats from pictures.
 *
 * <p>A {@link fahrbahn.core.mat.Picture} is pixels; a {@link fahrbahn.core.mat.Mat} gives them a size in mm and says which colour is line
 * and which is ground, and so becomes a {@link fahrbahn.core.raster.Raster} that sensors read. {@link fahrbahn.core.mat.LineFollower}
 * goes along the line and finds its path, its corners and gaps and its tightest bend. Table frame: origin at the lower left, x to
 * the right, y up, mm.
 */
package fahrbahn.core.mat;
