/** Lists to tick off, and rounds. */
package fahrbahn.app.handover.lists;
