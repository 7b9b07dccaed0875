package fahrbahn.store.season;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.season.Listing;
import fahrbahn.store.document.ClubJson;
import fahrbahn.store.document.Codec;
import fahrbahn.store.document.Kind;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.document.Put;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.Shared;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Memory and file never go different ways, however slowly the file is written. */
class LedgerTest {
    private static final Clock CLOCK = Clock.fixed(Instant.parse("2026-05-04T09:00:00Z"), ZoneOffset.UTC);

    @TempDir
    private Path folder;

    private Path file;
    private final Deque<Runnable> waiting = new ArrayDeque<>();
    private final List<String> saving = new ArrayList<>();

    @BeforeEach
    void name() {
        file = folder.resolve("s.fahrbahn");
    }

    /** @param slow the writer works only when told */
    private Ledger open(boolean slow) throws Exception {
        return Ledger.open(
                SeasonFiles.openOrCreate(file, CLOCK),
                new Scribe.Desk(
                        slow ? waiting::add : Runnable::run, Runnable::run, (n, why) -> saving.add(n + " " + why)));
    }

    private void write() {
        while (!waiting.isEmpty()) {
            waiting.poll().run();
        }
    }

    private static Put<Listing> team(String id, String name) {
        return Put.of(Kinds.TEAM, "", id, Listing.PLAIN.withName(name));
    }

    private static Map<String, Listing> teams(Ledger ledger) {
        return Map.copyOf(ledger.all(Kinds.TEAM, ""));
    }

    @Test
    void undoWorksOnWhatIsShownAlsoBeforeItIsWritten() throws Exception {
        Ledger ledger = open(true);
        ledger.change("a", List.of(team("x", "one")));
        ledger.change("b", List.of(team("x", "two")));
        assertThat(ledger.undo()).contains("b");
        assertThat(teams(ledger)).containsEntry("x", Listing.PLAIN.withName("one"));
        ledger.change("c", List.of(team("y", "three")));
        assertThat(ledger.redo()).as("a change ends what could be redone").isEmpty();
        write();
        ledger.close();
        write();
        Ledger again = open(false);
        assertThat(teams(again)).isEqualTo(teams(ledger)).hasSize(2);
        assertThat(again.undoable()).isEqualTo(ledger.undoable());
        assertThat(again.undo()).contains("c");
        assertThat(again.undo()).contains("a");
        assertThat(teams(again)).isEmpty();
        assertThat(again.redo()).contains("a");
        again.close();
    }

    /** A coach who changes, undoes and redoes at random while the disk writes when it pleases. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void memoryAndFileAgreeAfterAnyWalk(long seed) throws Exception {
        Random random = new Random(seed);
        Ledger ledger = open(true);
        for (int i = 0; i < 200; i++) {
            int what = random.nextInt(12);
            if (what >= 10) {
                String label = "act " + i;
                ledger.together(label, () -> {
                    for (int k = random.nextInt(4); k >= 0; k--) {
                        ledger.change("part", List.of(team("t" + random.nextInt(4), "name " + random.nextInt(3))));
                    }
                    ledger.change("part", List.of(Put.away(Kinds.TEAM, "", "t" + random.nextInt(4))));
                });
            } else if (what < 5) {
                ledger.change("step " + i, List.of(team("t" + random.nextInt(4), "name " + random.nextInt(3))));
            } else if (what == 5) {
                ledger.change("away " + i, List.of(Put.away(Kinds.TEAM, "", "t" + random.nextInt(4))));
            } else if (what == 6) {
                ledger.note(List.of(Put.of(Kinds.VENUE, "", "v", Listing.PLAIN.withName("hall " + i))));
            } else if (what < 9) {
                ledger.undo();
            } else {
                ledger.redo();
            }
            while (random.nextInt(3) == 0 && !waiting.isEmpty()) {
                waiting.poll().run();
            }
        }
        ledger.close();
        write();
        Ledger again = open(false);
        assertThat(teams(again)).isEqualTo(teams(ledger));
        assertThat(again.get(Kinds.VENUE, "", "v")).isEqualTo(ledger.get(Kinds.VENUE, "", "v"));
        assertThat(again.undoable()).isEqualTo(ledger.undoable());
        int redone = 0;
        for (Optional<String> step = ledger.redo(); step.isPresent(); step = ledger.redo()) {
            assertThat(again.redo()).isEqualTo(step);
            assertThat(teams(again)).isEqualTo(teams(ledger));
            redone++;
        }
        assertThat(again.redo()).as("after %d", redone).isEmpty();
        while (ledger.undo().isPresent()) {
            again.undo();
            assertThat(teams(again)).isEqualTo(teams(ledger));
        }
        again.close();
    }

    /** Each part is seen at once; all of it is taken back at once, also after the file was opened again. */
    @Test
    void anActIsOneStep() throws Exception {
        Ledger ledger = open(false);
        ledger.change("before", List.of(team("x", "one")));
        ledger.together("an act", () -> {
            ledger.change("part", List.of(team("x", "two")));
            assertThat(teams(ledger)).containsEntry("x", Listing.PLAIN.withName("two"));
            ledger.together("inside it", () -> ledger.change("part", List.of(team("y", "three"))));
            ledger.change("part", List.of(team("x", "four")));
        });
        ledger.together("nothing in the end", () -> {
            ledger.change("part", List.of(team("x", "five")));
            ledger.change("part", List.of(team("x", "four")));
        });
        assertThat(ledger.undoable()).extracting(Ledger.Labelled::label).containsExactly("an act", "before");
        ledger.close();
        Ledger again = open(false);
        assertThat(teams(again)).hasSize(2).containsEntry("x", Listing.PLAIN.withName("four"));
        assertThat(again.undo()).contains("an act");
        assertThat(teams(again)).isEqualTo(Map.of("x", Listing.PLAIN.withName("one")));
        assertThat(again.redo()).contains("an act");
        assertThat(teams(again)).containsEntry("x", Listing.PLAIN.withName("four"));
        again.close();
    }

    @Test
    void whatChangesNothingIsNoStep() throws Exception {
        Ledger ledger = open(false);
        List<Set<Kind<?>>> told = new ArrayList<>();
        ledger.listen(told::add);
        ledger.change("a", List.of(team("x", "one")));
        ledger.change("the same again", List.of(team("x", "one")));
        ledger.change("nothing to take away", List.of(Put.away(Kinds.TEAM, "", "nobody")));
        assertThat(ledger.undoable()).extracting(Ledger.Labelled::label).containsExactly("a");
        assertThat(told).hasSize(1);
        ledger.close();
    }

    /** Writes only when the disk is well again. */
    private static final class Moody implements Codec<Listing> {
        private int failures;

        @Override
        public String write(Listing value, Shared shared) {
            if (failures-- > 0) {
                throw new IllegalStateException("the disk is full");
            }
            return ClubJson.write(value);
        }

        @Override
        public Listing read(String id, String json, Shared shared) throws BadFileException {
            return ClubJson.parseListing(json);
        }
    }

    @Test
    void aWriteThatFailsIsSaidCountedAndTriedAgainInOrder() throws Exception {
        Moody moody = new Moody();
        moody.failures = 2;
        Kind<Listing> kind = new Kind<>("team", Kind.Scope.SEASON, moody);
        Ledger ledger = open(false);
        ledger.change("a", List.of(Put.of(kind, "", "x", Listing.PLAIN.withName("one"))));
        assertThat(saving).containsExactly("1 the disk is full");
        ledger.change("b", List.of(Put.of(kind, "", "x", Listing.PLAIN.withName("two"))));
        assertThat(saving).last().isEqualTo("2 the disk is full");
        assertThat(teams(ledger)).as("shown, and said not to be saved").hasSize(1);
        ledger.retry();
        assertThat(saving).last().isEqualTo("0 ");
        ledger.close();
        Ledger again = open(false);
        assertThat(again.undoable()).extracting(Ledger.Labelled::label).containsExactly("b", "a");
        assertThat(teams(again)).containsEntry("x", Listing.PLAIN.withName("two"));
        again.close();
    }

    @Test
    void whatCannotBeReadIsNamedAndLeftAsItIs() throws Exception {
        Ledger ledger = open(false);
        ledger.change("a", List.of(team("x", "one"), team("y", "two")));
        ledger.close();
        try (SeasonFile raw = SeasonFile.open(file, CLOCK)) {
            Change torn = Change.put("team", "", "y", "{torn");
            raw.write(new FileStep(CLOCK.instant(), FileStep.Cause.NOTE, "", List.of(torn)));
            Change unknown = Change.put("moon", "", "m", "{}");
            raw.write(new FileStep(CLOCK.instant(), FileStep.Cause.NOTE, "", List.of(unknown)));
        }
        Ledger again = open(false);
        assertThat(teams(again)).containsOnlyKeys("x");
        assertThat(again.leftOut()).anyMatch(s -> s.startsWith("team y")).anyMatch(s -> s.contains("'moon'"));
        again.change("b", List.of(team("x", "three")));
        again.close();
        try (SeasonFile raw = SeasonFile.open(file, CLOCK)) {
            assertThat(raw.body("team", "", "y")).contains("{torn");
            assertThat(raw.body("moon", "", "m")).contains("{}");
        }
    }
}
