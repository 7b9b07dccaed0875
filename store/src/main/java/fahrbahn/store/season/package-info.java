/** The season file: documents with their history, written in order by one thread, copied, checked, salvaged. */
package fahrbahn.store.season;
