package fahrbahn.core.trials;

import fahrbahn.core.check.BadValueException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Which runs are asked for. Terms stand between blanks and all of them must hold: a word that is said of the run ({@code lost}, {@code gym},
 * {@code #wet}), one that is not ({@code -twin}), or a figure and a number ({@code time<12}, {@code kp>=1.5}, {@code along>-3}).
 */
public record LogQuery(List<Term> terms) {
    private static final Pattern COMPARED = Pattern.compile("([a-z]+)(<=|>=|<|>|=)(.*)");
    private static final Pattern NUMBER = Pattern.compile("[+-]?[0-9]+(?:[.,][0-9]+)?");

    /** Typed as it is shown, a number has three digits: so near counts as equal. */
    private static final double EQUAL_SHARE = 5e-3;

    public LogQuery {
        terms = List.copyOf(terms);
    }

    /** One thing that must hold. */
    public sealed interface Term {
        boolean holds(LogLine line);
    }

    /** @param wanted false when it must not be said */
    public record Word(String word, boolean wanted) implements Term {
        @Override
        public boolean holds(LogLine line) {
            return line.words().contains(word) == wanted;
        }
    }

    /** @param relation one of {@code < <= > >= =}; a run of which it was not measured does not hold */
    public record Compared(Figure figure, String relation, double number) implements Term {
        @Override
        public boolean holds(LogLine line) {
            double value = figure.of(line.run());
            return switch (relation) {
                case "<" -> value < number;
                case "<=" -> value <= number;
                case ">" -> value > number;
                case ">=" -> value >= number;
                default -> Math.abs(value - number) <= EQUAL_SHARE * Math.max(Math.abs(number), EQUAL_SHARE);
            };
        }
    }

    /** @throws BadValueException naming a figure that is none, or what is no number */
    public static LogQuery parse(String typed) {
        List<Term> terms = new ArrayList<>();
        for (String term : typed.strip().toLowerCase(Locale.ROOT).split("\\s+")) {
            if (!term.isEmpty()) {
                terms.add(term(term));
            }
        }
        return new LogQuery(terms);
    }

    private static Term term(String typed) {
        Matcher compared = COMPARED.matcher(typed);
        if (compared.matches()) {
            return new Compared(figure(compared.group(1)), compared.group(2), number(typed, compared.group(3)));
        }
        boolean wanted = !typed.startsWith("-") || typed.length() == 1;
        return new Word(wanted ? typed : typed.substring(1), wanted);
    }

    private static Figure figure(String word) {
        return Arrays.stream(Figure.values())
                .filter(figure -> figure.word().equals(word))
                .findFirst()
                .orElseThrow(() -> new BadValueException(
                        "what is compared",
                        "'" + word + "'",
                        "one of "
                                + Arrays.stream(Figure.values())
                                        .map(Figure::word)
                                        .collect(Collectors.joining(", "))));
    }

    private static double number(String term, String typed) {
        if (!NUMBER.matcher(typed).matches()) {
            throw new BadValueException("the number in " + term, "'" + typed + "'", "a number, as in time<12.5");
        }
        return Double.parseDouble(typed.replace(',', '.'));
    }

    /** The runs for which all terms hold, in their order. */
    public List<LogLine> among(List<LogLine> lines) {
        return terms.isEmpty() ? lines : lines.stream().filter(this::holds).toList();
    }

    private boolean holds(LogLine line) {
        for (Term term : terms) {
            if (!term.holds(line)) {
                return false;
            }
        }
        return true;
    }
}
