/** The shelf of Hand-over: the pit card, the program with its numbers, and numbers typed back from the robot. */
package fahrbahn.app.handover;
