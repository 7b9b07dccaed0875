/**
 * What a program makes of three colour channels: a {@link fahrbahn.core.colour.ColourScale} scales them by dark and light, a
 * {@link fahrbahn.core.colour.ColourSpace} turns them into features, and a {@link fahrbahn.core.colour.ColourRule} says what surface they
 * are. How a rule is learnt and judged is another matter: {@code core.marks}.
 */
package fahrbahn.core.colour;
