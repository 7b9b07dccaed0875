package fahrbahn.store.season;

import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Side;
import fahrbahn.core.setup.SteeringDirection;
import fahrbahn.core.trials.PartOf;
import fahrbahn.core.trials.Run;
import fahrbahn.store.document.Kind;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.document.Put;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Documents as 0.1.0 wrote them until the end of November 2026, made what they are now; in the file they stay as they are. */
final class OlderSeason {
    /** What a run was made for stood in front of its note. */
    private static final Pattern PART = Pattern.compile("^#(?:hall|round(\\d{1,4}))\\b *");

    /** A look at which way a robot turns was kept as a bench card of this name, in ordinals. */
    private static final String SIGN = "SIGN";

    private OlderSeason() {}

    static Put<?> adopted(Put<?> put) {
        if (put.value().isEmpty()) {
            return put.kind().equals(Kinds.ENTRIES) && put.id().equals(SIGN)
                    ? Put.away(Kinds.DIRECTION_SEEN, put.owner(), Kind.ONLY)
                    : put;
        }
        Object value = put.value().get();
        if (value instanceof Run run && run.partOf().isEmpty()) {
            return Put.of(Kinds.RUN, put.owner(), put.id(), adopted(run));
        }
        return put.kind().equals(Kinds.ENTRIES) && put.id().equals(SIGN)
                ? direction(put.owner(), (List<?>) value)
                : put;
    }

    private static Run adopted(Run run) {
        Matcher part = PART.matcher(run.note());
        if (!part.lookingAt()) {
            return run;
        }
        Run noted = run.withNote(run.note().substring(part.end()));
        int round = part.group(1) == null ? 0 : Integer.parseInt(part.group(1));
        return noted.withPartOf(round > 0 ? new PartOf.Round(round) : PartOf.NEW_VENUE);
    }

    private static Put<?> direction(String robot, List<?> rows) {
        Optional<SteeringDirection> seen =
                rows.isEmpty() ? Optional.empty() : Optional.of(direction((List<?>) rows.get(0)));
        return new Put<>(Kinds.DIRECTION_SEEN, robot, Kind.ONLY, seen, Optional.empty());
    }

    private static SteeringDirection direction(List<?> row) {
        List<Integer> numbers =
                row.stream().map(number -> ((Number) number).intValue()).toList();
        return new SteeringDirection(
                ErrorSignal.values()[numbers.get(0)],
                Side.values()[numbers.get(1)],
                Polarity.values()[numbers.get(2)],
                numbers.subList(3, numbers.size()).stream()
                        .map(sign -> sign > 0)
                        .toList());
    }
}
