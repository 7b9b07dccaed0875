/** What commands share. */
package fahrbahn.headless.kit;
