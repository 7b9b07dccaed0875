/**
 * What is kept: the season file and the open formats.
 *
 * <p>A {@link fahrbahn.store.season.SeasonFile} is one SQLite file in which every change is a new revision of a small JSON document,
 * written in a transaction before the call returns. Nothing is overwritten, so the history of each fact, undo and redo all come
 * from the same rows. {@link fahrbahn.store.document.Kinds} lists the documents, {@link fahrbahn.store.json.SetupJson} is the setup file format,
 * {@link fahrbahn.store.exchange} what coaches bring in and take out.
 */
package fahrbahn.store;
