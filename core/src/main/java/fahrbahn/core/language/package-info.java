/** A law as a program in the language of the team. */
package fahrbahn.core.language;
