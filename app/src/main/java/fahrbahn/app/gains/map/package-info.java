/** Runs over Kp and Kd. */
package fahrbahn.app.gains.map;
