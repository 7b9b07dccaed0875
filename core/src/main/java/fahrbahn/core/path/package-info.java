/** A line as a path: its pieces, where each point of it lies, and how far along a robot is. */
package fahrbahn.core.path;
