package fahrbahn.core.trials;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Runs that stand on a piece of paper, typed without a log book: counts, {@code 7 of 10}, {@code 3 of 10 missed} or {@code 7/10}; or laps in a row, s,
 * {@code 12.3 12.1 x 12.9}, an x for each that was lost.
 */
public final class TypedRuns {
    private static final Pattern COUNTS =
            Pattern.compile("([0-9]{1,6})\\s*(?:of|/)\\s*([0-9]{1,6})\\s*(ran|made it|missed|lost)?");
    private static final Pattern LAP = Pattern.compile("[0-9]{1,5}(?:[.,][0-9]{1,4})?");
    private static final String RULE =
            "counts as in '7 of 10' or '3 of 10 missed', or laps in a row as in '12.3 12.1 x 12.9', x for a lost one";

    /** More than anybody types. */
    private static final int MOST = 10_000;

    private TypedRuns() {}

    /**
     * @param name of the group, for messages
     * @throws BadValueException naming what is neither counts nor laps
     */
    public static Group parse(String name, String typed) {
        String text = typed.strip().toLowerCase(Locale.ROOT);
        Matcher counts = COUNTS.matcher(text);
        return new Group(name, counts.matches() ? counted(name, counts) : laps(name, text));
    }

    private static List<Outcome> counted(String name, Matcher counts) {
        int some = Integer.parseInt(counts.group(1));
        int all = Integer.parseInt(counts.group(2));
        Check.between(name, all, 1, MOST);
        Check.require(some <= all, name, some + " of " + all, "no more than there were");
        boolean missed = "missed".equals(counts.group(3)) || "lost".equals(counts.group(3));
        int completed = missed ? all - some : some;
        List<Outcome> outcomes = new ArrayList<>();
        for (int i = 0; i < all; i++) {
            outcomes.add(Outcome.of(i < completed, Double.NaN));
        }
        return outcomes;
    }

    /**
     * A time as coaches type it, with a point or a comma.
     *
     * @throws BadValueException naming the field when it is no time above 0
     */
    public static double seconds(String field, String typed) {
        Check.require(LAP.matcher(typed).matches(), field, "'" + typed + "'", "seconds, as in 0.3");
        double seconds = Double.parseDouble(typed.replace(',', '.'));
        Check.positive(field, seconds);
        return seconds;
    }

    private static List<Outcome> laps(String name, String text) {
        List<Outcome> outcomes = new ArrayList<>();
        for (String lap : text.split("[\\s;]+")) {
            if (lap.equals("x")) {
                outcomes.add(Outcome.of(false, Double.NaN));
            } else if (LAP.matcher(lap).matches()) {
                double timeS = Double.parseDouble(lap.replace(',', '.'));
                Check.require(timeS > 0, name, lap, "laps above 0 s");
                outcomes.add(Outcome.of(true, timeS));
            } else {
                throw new BadValueException(name, "'" + (lap.isEmpty() ? text : lap) + "'", RULE);
            }
        }
        Check.between(name, outcomes.size(), 1, MOST);
        return outcomes;
    }
}
