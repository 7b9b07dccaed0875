/**
 * The only way numbers become text and typed text becomes numbers.
 */
package fahrbahn.words;
