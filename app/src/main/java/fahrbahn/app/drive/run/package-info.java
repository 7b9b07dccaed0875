/** A run of the simulation on the table, and what is said of it. */
package fahrbahn.app.drive.run;
