/**
 * The Runs station: the log book and how sure it makes you.
 */
package fahrbahn.app.runs;
