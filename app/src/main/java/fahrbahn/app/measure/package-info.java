/**
 * The Measure station: captures, what is odd about them, schools, room light, and links.
 */
package fahrbahn.app.measure;
