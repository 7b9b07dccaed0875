package fahrbahn.core.check;

/** A value that breaks a rule. The parts are kept apart so that tests and forms read values, not prose. */
public final class BadValueException extends IllegalArgumentException {
    private final String field;
    private final String value;
    private final String rule;

    /**
     * @param field name of the field, with its unit, dotted from the outside in ({@code robot.drive.trackWidthMm})
     * @param value what was given
     * @param rule what was expected, so that it reads after "must be"
     */
    public BadValueException(String field, Object value, String rule) {
        super(field + " is " + value + "; it must be " + rule);
        this.field = field;
        this.value = String.valueOf(value);
        this.rule = rule;
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
