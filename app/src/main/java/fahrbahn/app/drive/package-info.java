/**
 * The Drive station: the twin on the table, one run or many.
 */
package fahrbahn.app.drive;
