/**
 * The frame round the stations: road, verdict, live strip and keys. Knows every station; nobody knows it.
 */
package fahrbahn.app.shell;
