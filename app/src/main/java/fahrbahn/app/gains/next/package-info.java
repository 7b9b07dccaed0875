/** The next trial. */
package fahrbahn.app.gains.next;
