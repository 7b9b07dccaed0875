/**
 * Work that takes a while: {@link fahrbahn.core.job.Workers} spreads it over the cores, a {@link fahrbahn.core.job.Job} follows
 * its progress and may stop it.
 */
package fahrbahn.core.job;
