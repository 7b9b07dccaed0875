package fahrbahn.app.season;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import fahrbahn.app.Shop;
import fahrbahn.app.shell.Workshop;
import fahrbahn.core.setup.SteeringDirection;
import fahrbahn.core.trials.PartOf;
import fahrbahn.core.trials.Run;
import fahrbahn.store.document.Kind;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.json.Shared;
import fahrbahn.store.season.Change;
import fahrbahn.store.season.SeasonFile;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A season of 30 November 2026, as the program of that day left it: the demo, 3,000 runs more, and a document of every kind. */
class OlderSeasonTest {
    private static final int MORE_RUNS = 3000;

    /** Of each forty of them, by what they were made for. */
    private static final long OF_EACH_SORT = MORE_RUNS / 40;

    @TempDir
    private Path folder;

    private final Shop.MovableClock clock = new Shop.MovableClock();
    private Path file;

    @BeforeEach
    void copy() throws Exception {
        file = folder.resolve("older.fahrbahn");
        try (InputStream kept = new GZIPInputStream(
                OlderSeasonTest.class.getResourceAsStream("/fahrbahn/season-2026-11-30.fahrbahn.gz"))) {
            Files.copy(kept, file);
        }
    }

    private List<Change> documents() throws Exception {
        try (SeasonFile season = SeasonFile.open(file, clock)) {
            return season.contents().documents();
        }
    }

    /** Whatever it says is there still when it is written again: field by field. */
    @Test
    void everyDocumentIsReadAndWrittenAsItWas() throws Exception {
        ObjectMapper json = new ObjectMapper();
        Shared shared = new Shared();
        Map<String, Kind<?>> kinds = Kinds.ALL.stream()
                .collect(Collectors.toMap(Kind::name, Function.identity(), (a, b) -> a, LinkedHashMap::new));
        List<Change> documents = documents();
        assertThat(documents.stream().map(Change::kind))
                .as("a document of every kind that there was")
                .containsAll(kinds.keySet().stream()
                        .filter(name -> !name.equals(Kinds.DIRECTION_SEEN.name()))
                        .toList());
        for (String kind : kinds.keySet()) {
            for (Change change : documents) {
                if (change.kind().equals(kind)) {
                    JsonNode was = json.readTree(change.body().orElseThrow());
                    assertThat(json.readTree(again(kinds.get(kind), change, shared)))
                            .as("%s %s", kind, change.id())
                            .isEqualTo(was);
                }
            }
        }
    }

    private static <T> String again(Kind<T> kind, Change change, Shared shared) throws Exception {
        T value = kind.codec().read(change.id(), change.body().orElseThrow(), shared);
        return kind.codec().write(value, shared);
    }

    @Test
    void everythingItHeldIsThere() throws Exception {
        Map<String, Long> counts =
                documents().stream().collect(Collectors.groupingBy(Change::kind, Collectors.counting()));
        Workshop shop = Shop.open(file, clock);
        var ledger = shop.season().ledger();
        assertThat(ledger.leftOut()).isEmpty();
        for (Kind<?> kind : Kinds.ALL) {
            long all = ledger.owners(kind).stream()
                    .mapToLong(owner -> ledger.all(kind, owner).size())
                    .sum();
            long before = counts.getOrDefault(kind.name(), 0L);
            boolean moved = kind.equals(Kinds.ENTRIES); // one of them was no bench card
            assertThat(all).as(kind.name()).isEqualTo(kind.equals(Kinds.DIRECTION_SEEN) ? 1 : before - (moved ? 1 : 0));
        }
        shop.close();
    }

    /** What was text or ordinals is a value now. */
    @Test
    void whatRunsWereMadeForAndTheDirectionSeenAreKnown() throws Exception {
        Workshop shop = Shop.open(file, clock);
        List<Run> runs = shop.season().runs().stream()
                .filter(run -> run.id().startsWith("more"))
                .toList();
        assertThat(runs).hasSize(MORE_RUNS);
        assertThat(runs.stream().filter(run -> run.partOf().equals(Optional.of(PartOf.NEW_VENUE))))
                .hasSize((int) OF_EACH_SORT)
                .allMatch(run -> run.note().equals("straight, slowly"));
        assertThat(runs.stream().filter(run -> run.partOf().equals(Optional.of(new PartOf.Round(1)))))
                .hasSize((int) OF_EACH_SORT)
                .allMatch(run -> run.note().equals("slow start"));
        assertThat(runs.stream().filter(run -> run.note().contains("#")))
                .as("tags of the coach's own stay")
                .hasSize((int) OF_EACH_SORT)
                .allMatch(run -> run.partOf().isEmpty() && run.note().equals("left early #gap"));
        assertThat(shop.season().state().document(Kinds.DIRECTION_SEEN).kept())
                .contains(SteeringDirection.of(shop.season().setupOrGuess()));
        shop.redo();
        assertThat(shop.season().runs())
                .filteredOn(run -> run.id().equals("undone"))
                .singleElement()
                .satisfies(run -> {
                    assertThat(run.note()).isEqualTo("undone");
                    assertThat(run.partOf()).contains(new PartOf.Round(3));
                });
        shop.close();
    }

    @Test
    void itsStepsAreUndoneAndItIsWorkedOnAndOpenedAgain() throws Exception {
        Workshop shop = Shop.open(file, clock);
        int runs = shop.season().runs().size();
        shop.undo();
        assertThat(shop.season().state().document(Kinds.STOP).kept())
                .as("the last step made")
                .isEmpty();
        shop.season().changeSetup(s -> s.withLaw(s.law().withGains(0.7, 0, 2)));
        shop.close();
        Workshop again = Shop.open(file, clock);
        assertThat(again.season().setupOrGuess().law().kp()).isEqualTo(0.7);
        assertThat(again.season().runs()).hasSize(runs - 1);
        again.undo();
        again.redo();
        assertThat(again.season().setupOrGuess().law().kp()).isEqualTo(0.7);
        again.close();
    }
}
