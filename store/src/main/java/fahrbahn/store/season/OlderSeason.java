package fahrbahn.store.season;

import com.fasterxml.jackson.core.JsonProcessingException;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.season.Hand;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Setup;
import fahrbahn.store.document.Kind;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.document.Put;
import fahrbahn.store.json.Fields;
import fahrbahn.store.json.Shared;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** What seasons of the first version held otherwise: one robot, what its gains were chosen for in two documents, a venue by name. */
final class OlderSeason {
    private OlderSeason() {}

    /** @param facts as they are in the file */
    static void adopt(Held held, List<Change> facts) {
        facts.forEach(change -> loopTime(held, change));
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

    /** A fact noted the loop time it was measured with, but no setting: all else of the robot is taken to be as it is. */
    private static void loopTime(Held held, Change change) {
        Optional<Fact> fact = held.get(Kinds.FACT, change.owner(), change.id());
        Optional<Setup> setup = held.get(Kinds.SETUP, change.owner(), Kind.ONLY);
        if (fact.isEmpty() || setup.isEmpty() || fact.get().basis().setting().isPresent()) {
            return;
        }
        double periodS = periodS(change.body().orElse("{}"));
        if (periodS > 0) {
            Loop loop = new Loop(periodS, setup.get().robot().loop().delayS());
            Basis then =
                    fact.get().basis().withSetting(Shared.setting(setup.get().withLoop(loop)));
            held.put(Put.of(Kinds.FACT, change.owner(), change.id(), fact.get().withBasis(then)));
        }
    }

    private static double periodS(String json) {
        try {
            return Fields.JSON.readTree(json).path("loopPeriodS").asDouble();
        } catch (JsonProcessingException unreadable) {
            throw new IllegalStateException("a document that was read before", unreadable);
        }
    }

    private static Optional<Basis> chosen(Held held, String robot) {
        return held.get(Kinds.CHOSEN_FOR, robot, Kind.ONLY)
                .flatMap(setup -> held.get(Kinds.CHOSEN_UNDER, robot, Kind.ONLY)
                        .map(under -> Basis.of(Instant.EPOCH, under).withSetting(Shared.setting(setup))));
    }
}
