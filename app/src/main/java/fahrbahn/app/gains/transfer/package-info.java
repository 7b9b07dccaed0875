/** Gains carried over to another robot. */
package fahrbahn.app.gains.transfer;
