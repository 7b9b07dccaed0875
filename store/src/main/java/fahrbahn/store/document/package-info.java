/** The kinds of document that a season holds, and how each is written. */
package fahrbahn.store.document;
