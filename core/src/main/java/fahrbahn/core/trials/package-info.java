/**
 * What logged runs prove. A {@link fahrbahn.core.trials.RunRecord} is one run with its settings and its outcome;
 * {@link fahrbahn.core.trials.Completion} says how sure a share of completed runs is.
 */
package fahrbahn.core.trials;
