/** The simulated robot on the real protocol. */
package fahrbahn.link.bench;
