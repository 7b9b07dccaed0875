package fahrbahn.words;

import fahrbahn.core.setup.ErrorSignal;

/** Laws in the coach's words. */
public final class LawWords {
    private LawWords() {}

    /** What it makes the error of. */
    public static String kind(ErrorSignal kind) {
        return switch (kind) {
            case EDGE -> "one sensor on an edge";
            case PAIR -> "two sensors, one each side of the line";
            case ARRAY_MEAN -> "a row, by its mean";
            case ARRAY_DIFFERENCE -> "a row, by its difference";
            case PATTERN -> "a pattern of on and off";
        };
    }
}
