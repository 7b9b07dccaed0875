package fahrbahn.core.review;

import fahrbahn.core.check.Text;
import fahrbahn.core.difference.Cause;
import java.util.List;
import java.util.stream.Collectors;

/** Which of two is to be taken, and how sure that is, in words that commands and the window share. */
public final class CompareWords {
    private CompareWords() {}

    /** The answer in a sentence. */
    public static String sentence(TwoOnOneTable both, String a, String b) {
        Difference chance = both.chance();
        String pairs = " in " + chance.pairs() + (chance.pairs() == 1 ? " pair of runs" : " pairs of runs");
        if (chance.shown()) {
            boolean first = chance.size() < 0;
            return take(first ? a : b) + "it completes " + percent(first ? chance.a() : chance.b()) + " against "
                    + percent(first ? chance.b() : chance.a()) + ", " + points(chance) + " more" + pairs + ". "
                    + time(both.timeS(), a, b);
        }
        String alike = chance.a() == chance.b()
                ? "Both complete " + percent(chance.a()) + pairs
                : "No difference in completing is shown" + pairs + " (" + percent(chance.a()) + " and "
                        + percent(chance.b()) + ")";
        if (chance.a() == 0 && chance.b() == 0) {
            return "Take neither: none of them completes a run" + pairs + ".";
        }
        return weighed(Weighed.of(both), a, b, alike);
    }

    private static String weighed(Weighed all, String a, String b, String alike) {
        List<Weighed.Win> forA = all.of(true);
        List<Weighed.Win> forB = all.of(false);
        if (forA.isEmpty() && forB.isEmpty()) {
            return "Take either: " + lower(alike)
                    + ", and neither time, path, smoothness nor stop place tells them apart.";
        }
        if (forA.isEmpty() || forB.isEmpty()) {
            return take(forB.isEmpty() ? a : b) + "it " + wins(forB.isEmpty() ? forA : forB) + ". " + alike + ".";
        }
        return all.smoother()
                        .map(first -> take(first ? a : b) + "it is the smoother to repeat, it "
                                + wins(first ? forA : forB) + ". Take " + (first ? b : a)
                                + " where other things count more: it " + wins(first ? forB : forA) + ". ")
                        .orElse(a + " or " + b + ", as what counts: " + a + " " + wins(forA) + "; " + b + " "
                                + wins(forB) + ". ")
                + alike + ".";
    }

    private static String wins(List<Weighed.Win> wins) {
        return wins.stream()
                .map(win -> win.by().says() + " by "
                        + span(win.difference(), win.by().unit()))
                .collect(Collectors.joining(", "));
    }

    /** What makes them differ, and that more than one thing does. */
    public static String differs(List<Cause> causes) {
        if (causes.isEmpty()) {
            return "They are the same: whatever differs is chance.";
        }
        String first = causes.stream().limit(2).map(CompareWords::setting).collect(Collectors.joining(", "));
        return causes.size() == 1
                ? "They differ in one thing: " + first + "."
                : "They differ in " + causes.size() + " things" + " (" + first
                        + "): which of them does it, this comparison cannot tell.";
    }

    /** One thing that differs; what is more than a number or a word is named only. */
    public static String setting(Cause cause) {
        return plain(cause.before()) && plain(cause.after())
                ? cause.what() + " " + value(cause.before()) + " to " + value(cause.after())
                : cause.what();
    }

    private static boolean plain(Object value) {
        return value instanceof Number || value instanceof String;
    }

    private static String value(Object value) {
        return value instanceof Double number ? Text.digits(number, 4) : String.valueOf(value);
    }

    private static String percent(double share) {
        return Text.digits(100 * share, 2) + " %";
    }

    private static String take(String which) {
        return "Take " + which + ": ";
    }

    private static String time(Difference time, String a, String b) {
        if (!time.told()) {
            return "Too few runs were completed by both to compare their times.";
        }
        if (!Weighed.By.TIME.matters(time)) {
            return "Their times are the same to a hundredth.";
        }
        return (time.size() > 0 ? b : a) + " takes " + span(time, " s") + " longer.";
    }

    /** The difference without its sign, and its interval. */
    private static String span(Difference difference, String unit) {
        double way = Math.signum(difference.size());
        double low = Math.min(way * difference.low(), way * difference.high());
        double high = Math.max(way * difference.low(), way * difference.high());
        return Text.digits(Math.abs(difference.size()), 2) + unit + " (" + Text.digits(low, 2) + " to "
                + Text.digits(high, 2) + ")";
    }

    private static String points(Difference chance) {
        double way = Math.signum(chance.size());
        double low = 100 * Math.min(way * chance.low(), way * chance.high());
        double high = 100 * Math.max(way * chance.low(), way * chance.high());
        return Text.digits(low, 2) + " to " + Text.digits(high, 2) + " points";
    }

    private static String lower(String sentence) {
        return Character.toLowerCase(sentence.charAt(0)) + sentence.substring(1);
    }
}
