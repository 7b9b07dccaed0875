package fahrbahn.store.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.store.document.Kinds;
import fahrbahn.store.document.Put;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A season whose file is taken away, whose disk is full, that may not be written, whose making was cut short. */
class SeasonTroubleTest {
    @TempDir
    private Path folder;

    private final Seasons.HandClock clock = new Seasons.HandClock();
    private final List<String> saving = new ArrayList<>();

    private Path file() {
        return folder.resolve("s.fahrbahn");
    }

    private Ledger open(SeasonFile season) throws Exception {
        return Ledger.open(
                season,
                new Scribe.Desk(Runnable::run, Runnable::run, (unsaved, why) -> saving.add(unsaved + " " + why)));
    }

    private static Put<?> team(String id) {
        return Put.of(Kinds.TEAM, "", id, fahrbahn.core.season.Listing.PLAIN.withName(id));
    }

    private String last() {
        return saving.get(saving.size() - 1);
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void aFileTakenAwayOrReplacedIsNoticedAndTheSeasonGoesOnElsewhere(boolean replaced) throws Exception {
        Ledger ledger = open(SeasonFiles.create(file(), clock));
        ledger.change("one", List.of(team("a")));
        Files.delete(file());
        if (replaced) {
            SeasonFiles.create(file(), clock).close();
        }
        ledger.retry();
        assertThat(last()).as("on the timer").startsWith("0 ").contains(replaced ? "replaced" : "removed");
        ledger.change("two", List.of(team("b")));
        assertThat(last()).as("before the next write").startsWith("1 ").contains("another name");
        AtomicReference<Optional<String>> failure = new AtomicReference<>();
        Path other = folder.resolve("other.fahrbahn");
        ledger.moveTo(other, failure::set);
        assertThat(failure.get()).isEmpty();
        assertThat(last()).isEqualTo("0 ");
        ledger.change("three", List.of(team("c")));
        ledger.close();
        Ledger again = open(SeasonFile.open(other, clock));
        assertThat(again.all(Kinds.TEAM, "")).containsOnlyKeys("a", "b", "c");
        assertThat(again.undoable()).hasSize(3);
        again.close();
        if (replaced) {
            try (SeasonFile stranger = SeasonFile.open(file(), clock)) {
                assertThat(stranger.contents().documents())
                        .as("nothing was written into the other")
                        .isEmpty();
            }
        }
    }

    @Test
    void aFullDiskIsSaidCountedAndMendedByRoom() throws Exception {
        SeasonFile season = SeasonFiles.create(file(), clock);
        season.limitPages((int) (Files.size(file()) / 4096));
        Ledger ledger = open(season);
        int made = 0;
        while (saving.isEmpty()) {
            ledger.change("more", List.of(team("team " + made++)));
        }
        assertThat(last()).startsWith("1 ").contains("the disk is full");
        ledger.change("yet more", List.of(team("the last")));
        assertThat(last()).startsWith("2 ");
        season.limitPages(10_000);
        ledger.retry();
        assertThat(last()).isEqualTo("0 ");
        ledger.close();
        Ledger again = open(SeasonFile.open(file(), clock));
        assertThat(again.all(Kinds.TEAM, "")).hasSize(made + 1);
        again.close();
    }

    @Test
    void aSeasonThatMayNotBeWrittenIsReadAndCanBeWorkedOnElsewhere() throws Exception {
        Seasons.fill(file(), 5, clock);
        byte[] before = Files.readAllBytes(file());
        Ledger ledger = open(SeasonFile.open(file(), clock, true));
        ledger.change("one", List.of(team("a")));
        assertThat(last()).startsWith("1 ").contains("can only be read here");
        Path other = folder.resolve("mine.fahrbahn");
        ledger.moveTo(other, failure -> assertThat(failure).isEmpty());
        assertThat(last()).isEqualTo("0 ");
        ledger.close();
        assertThat(Files.readAllBytes(file())).isEqualTo(before);
        try (SeasonFile mine = SeasonFile.open(other, clock)) {
            assertThat(mine.contents().documents()).hasSize(6);
        }
    }

    @Test
    void aCopyThatCannotBeMadeLeavesEverythingAsItWas() throws Exception {
        Ledger ledger = open(SeasonFiles.create(file(), clock));
        ledger.change("one", List.of(team("a")));
        AtomicReference<Optional<String>> failure = new AtomicReference<>();
        ledger.moveTo(folder.resolve("no such folder/x.fahrbahn"), failure::set);
        assertThat(failure.get().orElseThrow()).contains("could not be made");
        ledger.change("two", List.of(team("b")));
        assertThat(saving).isEmpty();
        ledger.close();
    }

    @Test
    void anEmptyFileCountsAsNone() throws Exception {
        Files.createFile(file());
        assertThatThrownBy(() -> SeasonFile.open(file(), clock)).hasMessageContaining("no such season");
        SeasonFiles.create(file(), clock).close();
        SeasonFile.open(file(), clock).close();
        assertThatThrownBy(() -> SeasonFiles.create(file(), clock)).hasMessageContaining("such a file already");
    }

    @Test
    void whatAKilledProgramLeftIsTakenAwayAndASecondOpeningLeavesNothing() throws Exception {
        Files.writeString(folder.resolve("s.fahrbahn.999999999.part"), "half");
        Files.writeString(folder.resolve("s.fahrbahn.mine.part"), "no program's");
        try (SeasonFile first = SeasonFiles.create(file(), clock)) {
            for (int i = 0; i < 5; i++) {
                assertThatThrownBy(() -> SeasonFile.open(file(), clock)).hasMessageContaining("another window");
            }
            first.write(Seasons.edit("x", Change.put("k", "", "x", "1")));
        }
        try (Stream<Path> all = Files.list(folder)) {
            assertThat(all.map(p -> p.getFileName().toString()))
                    .containsExactlyInAnyOrder("s.fahrbahn", "s.fahrbahn.mine.part");
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"a?b", "50%41 #1", "x;y z", "file:memory", "mode=memory?", "Zürich & 'co'", "%", "-"})
    void anyNameIsAName(String name) throws Exception {
        Path file = folder.resolve(name + ".fahrbahn");
        SeasonFiles.create(file, clock).close();
        try (SeasonFile season = SeasonFile.open(file, clock)) {
            season.write(Seasons.edit("x", Change.put("k", "", "x", "1")));
            season.copyTo(folder.resolve("copy of " + name + ".fahrbahn"));
        }
        try (Stream<Path> all = Files.list(folder)) {
            assertThat(all.map(p -> p.getFileName().toString()))
                    .containsExactlyInAnyOrder(name + ".fahrbahn", "copy of " + name + ".fahrbahn");
        }
        try (SeasonFile copy = SeasonFile.open(folder.resolve("copy of " + name + ".fahrbahn"), clock)) {
            assertThat(copy.body("k", "", "x")).contains("1");
        }
    }
}
