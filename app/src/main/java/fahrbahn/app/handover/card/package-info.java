/** The pit card: one page a robot, for the crew at the table. */
package fahrbahn.app.handover.card;
