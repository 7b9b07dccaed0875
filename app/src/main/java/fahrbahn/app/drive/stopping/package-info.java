/** Where it stops, by every rule. */
package fahrbahn.app.drive.stopping;
