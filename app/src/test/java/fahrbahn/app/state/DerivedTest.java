package fahrbahn.app.state;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.HeldWorker;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.errand.RefusedException;
import fahrbahn.app.season.OpenSeason;
import fahrbahn.core.InMemory;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.season.Hand;
import fahrbahn.core.season.Listing;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.document.Put;
import fahrbahn.store.season.Ledger;
import fahrbahn.store.season.SeasonFiles;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A value is of its inputs, and of no others: shown, kept and used only so. */
class DerivedTest {
    @TempDir(factory = InMemory.class)
    private Path folder;

    private final HeldWorker worker = new HeldWorker();
    private final List<String> told = new ArrayList<>();
    private Ledger season;
    private State state;
    private String robot = "Wren";
    private int times;
    private Derived<String> derived;

    @BeforeEach
    void open() throws Exception {
        season = OpenSeason.read(
                        SeasonFiles.create(folder.resolve("s"), Clock.systemUTC()), Runnable::run, Runnable::run)
                .ledger();
        state = new State(new Errands(worker, Runnable::run, told::add), season);
        derived = state.derive("The name", () -> robot, (name, job) -> {
            times++;
            return name.toUpperCase(java.util.Locale.ROOT);
        });
    }

    @AfterEach
    void close() {
        season.close();
    }

    private void changeTheSeason() {
        season.change("a team", List.of(Put.of(Kinds.TEAM, "", "t", Listing.PLAIN.withName("Team"))));
    }

    @Test
    void itIsWorkedOutOnceWhenSomebodyShowsIt() {
        assertThat(derived.value()).isInstanceOf(Value.Unasked.class);
        assertThat(times).as("nobody showed it").isZero();
        derived.show();
        derived.show();
        assertThat(derived.get()).contains("WREN");
        assertThat(times).isEqualTo(1);
    }

    @Test
    void whatWasWorkedOutForOthersIsGoneAtOnce() {
        derived.show();
        robot = "Dipper";
        assertThat(derived.get()).as("asked for").isEmpty();
        derived.show();
        assertThat(derived.get()).contains("DIPPER");
        List<Value<String>> seen = new ArrayList<>();
        derived.valueProperty().addListener((o, was, is) -> seen.add(is));
        robot = "Otter";
        changeTheSeason();
        assertThat(seen).as("whoever shows it is told").containsExactly(new Value.Unasked<>());
    }

    @Test
    void workThatEndsAfterItsInputsHaveChangedIsNotShown() {
        worker.hold();
        derived.show();
        assertThat(derived.value()).isEqualTo(new Value.Computing<>(Optional.empty()));
        robot = "Dipper";
        changeTheSeason();
        worker.work();
        assertThat(derived.value()).isInstanceOf(Value.Unasked.class);
        derived.show();
        robot = "Otter";
        worker.work();
        assertThat(derived.value().shown())
                .as("it ended, for a robot that is not selected any more")
                .isEmpty();
    }

    @Test
    void inputsThatAreMissingAndWorkThatRefusesSayWhy() {
        Derived<String> missing = state.derive(
                "The table",
                () -> {
                    if (robot.isEmpty()) {
                        throw new RefusedException("No robot is selected.");
                    }
                    return robot;
                },
                (name, job) -> {
                    throw new BadValueException("name", name, "another");
                });
        missing.show();
        assertThat(missing.value().absence("Working.")).contains("Wren", "another");
        robot = "";
        assertThat(missing.value().absence("Working.")).isEqualTo("Working.");
        missing.show();
        assertThat(missing.value()).isEqualTo(new Value.Refused<>("No robot is selected."));
        assertThat(told).as("the page says it, not the notice line").isEmpty();
    }

    @Test
    void partsAreShownOnTheWayAndAreNoValue() {
        List<Optional<String>> shown = new ArrayList<>();
        Derived<String> inParts = state.deriveInParts("The map", () -> robot, (name, job, part) -> {
            part.accept("coarse");
            return "fine";
        });
        inParts.valueProperty().addListener((o, was, is) -> {
            shown.add(is.shown());
            assertThat(is.ready().isEmpty() || is.ready().equals(Optional.of("fine")))
                    .isTrue();
        });
        inParts.show();
        assertThat(shown).contains(Optional.of("coarse")).endsWith(Optional.of("fine"));
    }

    @Test
    void workThatWasStoppedIsBegunAgainWhenAskedFor() {
        worker.hold();
        derived.show();
        derived.stop();
        derived.show();
        worker.work();
        assertThat(derived.get()).as("stopped").isEmpty();
        derived.again();
        worker.work();
        assertThat(derived.get()).contains("WREN");
        derived.again();
        assertThat(times).as("it is there").isEqualTo(1);
    }

    @Test
    void whatNobodyLooksAtAnyMoreIsStoppedAndWhatIsThereStays() {
        worker.hold();
        derived.show();
        derived.hide();
        worker.work();
        assertThat(times).isZero();
        derived.show();
        worker.work();
        derived.hide();
        assertThat(derived.get()).contains("WREN");
    }

    /** Of the robot that is still selected the value before may be seen, dimmed; of another it may not. */
    @Test
    void itIsKnownWhoseTheValueBeforeWas() {
        assertThat(derived.beforeIsOfAnother()).as("there was none").isFalse();
        derived.show();
        worker.hold();
        robot = "Wren with other wheels";
        derived.show();
        assertThat(derived.beforeIsOfAnother()).isFalse();
        state.selection().select(Hand.FIRST.withRobot("second"));
        assertThat(derived.beforeIsOfAnother()).isTrue();
        worker.work();
        assertThat(derived.beforeIsOfAnother()).isFalse();
    }
}
