/** Drills for the eye. */
package fahrbahn.app.handover.drill;
