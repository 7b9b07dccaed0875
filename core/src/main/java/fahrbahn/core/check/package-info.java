/**
 * The one way a bad value is refused: {@link fahrbahn.core.check.Check} throws
 * {@link fahrbahn.core.check.BadValueException}, which carries the field, the value and the rule, so that a form can show
 * it beside the field and a file reader can add where it stood.
 */
package fahrbahn.core.check;
