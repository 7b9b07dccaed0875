/** The table from above, to scale: what lies on it and the robot on it, drawn alike at every station. */
package fahrbahn.app.ground;
