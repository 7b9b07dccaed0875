package fahrbahn.core.trials;

import fahrbahn.core.check.Check;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What a run was made for, beside practice. */
public sealed interface PartOf {
    /** The first runs in another venue. */
    PartOf NEW_VENUE = new NewVenue();

    /** The minutes in another venue. */
    record NewVenue() implements PartOf {
        @Override
        public String word() {
            return "new venue";
        }
    }

    /** A round of a venue day. @param number from 1 */
    record Round(int number) implements PartOf {
        private static final Pattern WORD = Pattern.compile("round (\\d{1,4})");

        public Round {
            Check.between("round", number, 1, 9999);
        }

        @Override
        public String word() {
            return "round " + number;
        }
    }

    /** In words and in files. */
    String word();

    /** @throws fahrbahn.core.check.BadValueException when it is no such word */
    static PartOf of(String word) {
        Matcher round = Round.WORD.matcher(word);
        Check.require(
                round.matches() || word.equals(NEW_VENUE.word()),
                "partOf",
                "'" + word + "'",
                "'new venue' or 'round N'");
        return round.matches() ? new Round(Integer.parseInt(round.group(1))) : NEW_VENUE;
    }
}
