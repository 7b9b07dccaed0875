/** A plan of trials. */
package fahrbahn.app.runs.plan;
