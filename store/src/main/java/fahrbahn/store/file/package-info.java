/** Files as they lie on the disk: written whole or not at all, read with words for what is wrong with them. */
package fahrbahn.store.file;
