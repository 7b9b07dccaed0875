/** What a sensor of the simulation reads, and how runs vary. */
package fahrbahn.core.sensing;
