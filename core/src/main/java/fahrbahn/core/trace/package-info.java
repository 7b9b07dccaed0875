/** A run, moment by moment, for those who watch it. */
package fahrbahn.core.trace;
