package fahrbahn.store;

import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.season.Hand;
import java.time.Instant;
import java.util.Optional;

/** What seasons of the first version held otherwise: one robot, what its gains were chosen for in two documents, a venue by name. */
final class OlderSeason {
    private OlderSeason() {}

    static void adopt(Held held) {
        for (String robot : held.owners(Kinds.CHOSEN_FOR)) {
            if (held.get(Kinds.CHOSEN, robot, Kind.ONLY).isEmpty()) {
                chosen(held, robot).ifPresent(basis -> held.put(Put.of(Kinds.CHOSEN, robot, basis)));
            }
        }
        if (held.get(Kinds.HAND, "", Kind.ONLY).isEmpty()) {
            held.get(Kinds.CONDITIONS, Hand.ONLY, Kind.ONLY)
                    .ifPresent(c -> held.put(Put.of(Kinds.HAND, "", Hand.FIRST.withVenue(c.venue()))));
        }
    }

    private static Optional<Basis> chosen(Held held, String robot) {
        return held.get(Kinds.CHOSEN_FOR, robot, Kind.ONLY)
                .flatMap(setup -> held.get(Kinds.CHOSEN_UNDER, robot, Kind.ONLY)
                        .map(under -> Basis.of(Instant.EPOCH, under).withSetting(Shared.setting(setup))));
    }
}
