package fahrbahn.core.check;

/** Rules for numbers, written positively so that NaN breaks every one of them. */
public final class Check {
    /** Of a name: a longer one is a mistake, and no card or label has room for it. */
    private static final int MOST_LETTERS = 300;

    private Check() {}

    public static double finite(String field, double value) {
        return require(Double.isFinite(value), field, value, "a finite number");
    }

    public static double positive(String field, double value) {
        return require(value > 0 && value < Double.POSITIVE_INFINITY, field, value, "above 0");
    }

    public static double notNegative(String field, double value) {
        return require(value >= 0 && value < Double.POSITIVE_INFINITY, field, value, "0 or more");
    }

    /** @param most what physics leaves possible; belongs to the range */
    public static double positive(String field, double value, double most) {
        return require(value > 0 && value <= most, field, value, "above 0, at most " + Text.number(most));
    }

    /** @param most what physics leaves possible; belongs to the range */
    public static double notNegative(String field, double value, double most) {
        return between(field, value, 0, most);
    }

    /** To both sides of zero. */
    public static double within(String field, double value, double most) {
        return between(field, value, -most, most);
    }

    /** Both ends belong to the range. */
    public static double between(String field, double value, double low, double high) {
        return require(
                value >= low && value <= high, field, value, "from " + Text.number(low) + " to " + Text.number(high));
    }

    /** @param rule reads after "must be" */
    public static double require(boolean holds, String field, double value, String rule) {
        if (!holds) {
            throw new BadValueException(field, Text.number(value), rule);
        }
        return value;
    }

    /** @param rule reads after "must be" */
    public static void require(boolean holds, String field, String value, String rule) {
        if (!holds) {
            throw new BadValueException(field, value, rule);
        }
    }

    /** @param rule reads after "must be" */
    public static String text(String field, String value, String rule) {
        if (value == null || value.isBlank()) {
            throw new BadValueException(field, value == null ? "missing" : "empty", rule);
        }
        if (value.length() > MOST_LETTERS) {
            throw new BadValueException(field, value.length() + " letters long", rule + ", of at most " + MOST_LETTERS);
        }
        return value;
    }
}
