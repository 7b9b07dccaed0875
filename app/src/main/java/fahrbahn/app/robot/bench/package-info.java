/** Bench cards: what is measured by ruler and stopwatch. */
package fahrbahn.app.robot.bench;
