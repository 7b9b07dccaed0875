package fahrbahn.core.check;

/** A value that breaks a rule. The parts are kept apart so that tests and forms read values, not prose. */
public final class BadValueException extends IllegalArgumentException {
    private static final int MOST_LETTERS = 200;

    private final String field;
    private final String value;
    private final String rule;

    /**
     * @param field name of the field, with its unit, dotted from the outside in ({@code robot.drive.trackWidthMm})
     * @param value what was given
     * @param rule what was expected, so that it reads after "must be"
     */
    public BadValueException(String field, Object value, String rule) {
        super(plain(field) + " is " + plain(value) + "; it must be " + rule);
        this.field = plain(field);
        this.value = plain(value);
        this.rule = rule;
    }

    /** It may come from a file, and hold anything. */
    private static String plain(Object given) {
        return Text.plain(String.valueOf(given), MOST_LETTERS);
    }

    public String field() {
        return field;
    }

    public String value() {
        return value;
    }

    public String rule() {
        return rule;
    }

    /** The same complaint seen from one level further out. */
    public BadValueException inside(String outer) {
        return new BadValueException(outer + "." + field, value, rule);
    }
}
