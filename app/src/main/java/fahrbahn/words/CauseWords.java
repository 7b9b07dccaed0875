package fahrbahn.words;

import fahrbahn.core.difference.Cause;
import fahrbahn.core.review.CompareWords;
import java.time.Duration;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** What has changed, in words to read after "since" or a colon. */
public final class CauseWords {
    private CauseWords() {}

    /** @param venueName what a venue is called, by its identifier */
    public static String of(Cause cause, UnaryOperator<String> venueName) {
        if (cause.setting()) {
            return CompareWords.setting(cause);
        }
        return switch (cause.aspect()) {
            case VENUE ->
                "the venue is " + venueName.apply((String) cause.after()) + " and was "
                        + venueName.apply((String) cause.before());
            case LAMP -> "the lamps are " + cause.after() + " and were " + cause.before();
            case BATTERY -> "the battery has " + value(cause.after()) + " V and had " + value(cause.before());
            case HEIGHT -> "the sensors are " + value(cause.after()) + " mm high and were " + value(cause.before());
            case WHEELS -> "the wheels are " + cause.after() + " and were " + cause.before();
            case TABLE -> table((String) cause.before(), (String) cause.after());
            case AGE -> "it is " + age((Duration) cause.after()) + " old";
            case CAPTURES -> "the surfaces were captured again";
            default -> CompareWords.setting(cause);
        };
    }

    private static String table(String before, String after) {
        return before.equals(after)
                ? "the line on " + after + " was changed"
                : "the table is " + after + " and was " + before;
    }

    /** Hours up to two days, days beyond. */
    public static String age(Duration age) {
        return age.toHours() < 48
                ? Words.count(age.toHours(), "hour", "hours")
                : Words.count(age.toDays(), "day", "days");
    }

    private static String value(Object value) {
        return value instanceof Double number ? Words.number(number, 4) : String.valueOf(value);
    }

    /** The first, and how many more there are. */
    public static String of(List<Cause> causes, UnaryOperator<String> venueName) {
        int more = causes.size() - 1;
        return of(causes.get(0), venueName) + (more == 0 ? "" : ", and " + more + " more");
    }

    /** As a step of undo is called: the first few settings. */
    public static String label(List<Cause> causes, UnaryOperator<String> venueName) {
        String few = causes.stream().limit(2).map(c -> of(c, venueName)).collect(Collectors.joining(", "));
        return few + (causes.size() > 2 ? ", and " + (causes.size() - 2) + " more" : "");
    }
}
