/**
 * The Table station: courses laid from parts, mats from pictures, and what a robot reads on either.
 */
package fahrbahn.app.table;
