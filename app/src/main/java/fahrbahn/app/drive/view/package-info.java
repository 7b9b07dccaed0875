/** The table with robots on it. */
package fahrbahn.app.drive.view;
