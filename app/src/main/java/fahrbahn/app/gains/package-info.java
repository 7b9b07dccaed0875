/**
 * The Gains station: the lane between leaving bends and wiggling.
 */
package fahrbahn.app.gains;
