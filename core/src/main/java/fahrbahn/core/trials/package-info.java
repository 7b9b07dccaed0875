/**
 * What runs prove. Runs of the same setting are a {@link fahrbahn.core.trials.Group}; {@link fahrbahn.core.trials.Comparison}
 * holds two against each other, always with the size of the difference, its 95 % interval and how many more runs would tell;
 * {@link fahrbahn.core.trials.StopPlace} judges where a robot stops and {@link fahrbahn.core.statistics.StoppingRule} predicts it.
 * {@link fahrbahn.core.trials.Run} is one run of the log book, {@link fahrbahn.core.trials.WhatChanged} names what two
 * groups of them did differently.
 *
 * <p>Times in s, places in mm along and across the line (left positive). Times and places are of completed runs only. Tests are
 * two-sided; chances come with the exact interval of Clopper and Pearson ({@link fahrbahn.core.statistics.Completion}).
 */
package fahrbahn.core.trials;
