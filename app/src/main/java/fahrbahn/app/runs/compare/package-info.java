/** Two groups of runs against each other. */
package fahrbahn.app.runs.compare;
