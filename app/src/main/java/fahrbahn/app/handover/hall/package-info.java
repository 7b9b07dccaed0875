/** Five minutes in a new hall: the clock, the steps, and the numbers to type. */
package fahrbahn.app.handover.hall;
