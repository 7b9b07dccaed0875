/** Gains and speed for a goal. */
package fahrbahn.app.gains.goal;
