/** The plain values of a setup, one by one, and what differs between two setups. */
package fahrbahn.core.difference;
