/**
 * The Levels station: distributions on dark and light, and the levels between them.
 */
package fahrbahn.app.levels;
