/** Chances, means and differences with what the data leave open. */
package fahrbahn.core.statistics;
