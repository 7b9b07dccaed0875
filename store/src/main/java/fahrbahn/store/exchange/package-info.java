/** Open formats in and out: readings, runs, traces, logs, calendars, drawings, a whole season. */
package fahrbahn.store.exchange;
