/** The robot's own log beside the simulation. */
package fahrbahn.app.drive.log;
