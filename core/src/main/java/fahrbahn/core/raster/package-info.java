/** A table as pixels, and as a sensor with a spot of some size sees it. */
package fahrbahn.core.raster;
