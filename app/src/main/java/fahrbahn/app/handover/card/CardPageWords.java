package fahrbahn.app.handover.card;

import fahrbahn.card.PitCard;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.stream.Collectors;

/** What is said beside the pit card. */
final class CardPageWords {
    private static final DateTimeFormatter DAY =
            DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH).withZone(ZoneId.systemDefault());

    private CardPageWords() {}

    /** A card is of a day. */
    static String day(Instant at) {
        return DAY.format(at);
    }

    /** The card for those who cannot see it. */
    static String says(PitCard card) {
        String numbers =
                card.all().stream().map(n -> n.name() + " " + n.value()).collect(Collectors.joining(", "));
        return "The pit card of " + card.heading().robot() + ": type " + numbers + ". "
                + String.join(" ", card.stale());
    }
}
