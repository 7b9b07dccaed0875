/**
 * The Robot station: its layout, bench cards, and how well its numbers are known.
 */
package fahrbahn.app.robot;
