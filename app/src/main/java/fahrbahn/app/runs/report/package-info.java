/** A season on paper and as a chart. */
package fahrbahn.app.runs.report;
