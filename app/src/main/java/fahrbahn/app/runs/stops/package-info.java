/** Where runs stopped. */
package fahrbahn.app.runs.stops;
