/** Readings as they come. */
package fahrbahn.app.measure.live;
