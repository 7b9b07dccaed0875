package fahrbahn.app.handover.lists;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InShop;
import fahrbahn.app.Shop;
import fahrbahn.app.club.RobotKind;
import fahrbahn.app.runs.QuickLog.Typed;
import fahrbahn.app.season.Sort;
import fahrbahn.core.hall.Checklist;
import fahrbahn.core.hall.Checklist.Occasion;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.trials.PartOf;
import fahrbahn.core.trials.Run;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Lists and rounds, and what is left of them when the season is opened again. */
class ListModelTest extends InShop {
    @BeforeEach
    void open() throws Exception {
        shop.season().club().additions().addRobot(RobotKind.PAIR.setup("Wren"));
    }

    private void run(boolean completed) {
        later(90);
        shop.runs().log().log(completed, Typed.NOTHING);
    }

    private void capture() {
        later(5);
        shop.season()
                .addCaptures(List.of(
                        Shop.capture(Capture.DARK, clock.now, 201.5, 230.25, shop),
                        Shop.capture(Capture.LIGHT, clock.now, 712.5, 690.25, shop)));
    }

    private ListModel lists() {
        return shop.handover().lists();
    }

    private List<String> items() {
        return lists().list().items().stream().map(Checklist.Item::words).toList();
    }

    /** Nobody says that anything was forgotten: that the hall was not captured stands in the log book. */
    @Test
    void aListLearnsWhatWentStaleFromTheLogBook() {
        lists().turn(1);
        assertThat(lists().occasionProperty().get()).isEqualTo(Occasion.ARRIVE);
        assertThat(items().get(0)).startsWith("the venue's rules");
        assertThat(lists().staleThisSeason()).isEmpty();
        shop.season().club().add(Sort.VENUE, "Workshop");
        capture();
        run(true);
        assertThat(lists().staleThisSeason()).isEmpty();
        shop.season().club().add(Sort.VENUE, "Fair hall");
        run(false);
        run(true);
        assertThat(items().get(0)).startsWith("light and dark captured here");
        assertThat(lists().staleThisSeason())
                .containsExactly(
                        "Dark and light were from another venue at 2 of 3 runs of Wren; 1 of them lost, 0 of the other 1.");
        capture();
        run(true);
        assertThat(lists().staleThisSeason()).singleElement().asString().contains("at 2 of 4 runs");
        shop.undo();
        assertThat(lists().staleThisSeason()).singleElement().asString().contains("at 2 of 3 runs");
        shop.season().club().additions().addRobot(RobotKind.PAIR.setup("Dipper"));
        assertThat(lists().staleThisSeason()).as("of a robot that never ran").isEmpty();
    }

    @Test
    void listsAreTickedEditedAndUndone() throws Exception {
        int all = items().size();
        lists().tick();
        lists().tick();
        assertThat(lists().list().left()).isEqualTo(all - 2);
        lists().move(-1);
        lists().move(-1);
        lists().tick();
        assertThat(lists().list().left()).as("not done after all").isEqualTo(all - 1);
        lists().add("a flag");
        assertThat(items()).last().isEqualTo("a flag");
        shop.undo();
        assertThat(items()).doesNotContain("a flag");
        lists().add("  ");
        assertThat(told()).contains("what is to be done");
        lists().remove();
        assertThat(items()).hasSize(all - 1);
        lists().anew();
        assertThat(lists().list().left()).isEqualTo(all - 1);
        lists().turn(-1);
        assertThat(lists().occasionProperty().get()).isEqualTo(Occasion.AFTER_RUN);
        reopen();
        assertThat(items()).as("the packing list").hasSize(all - 1);
    }

    @Test
    void roundsAreCountedByDay() {
        RoundsModel rounds = shop.handover().rounds();
        assertThat(rounds.next()).isEqualTo(1);
        rounds.over(true, "slow start");
        later(600);
        rounds.over(false, "");
        run(true);
        assertThat(rounds.rounds()).extracting(Run::note).containsExactly("slow start", "");
        assertThat(rounds.next()).isEqualTo(3);
        later(86_400);
        rounds.first(true, "");
        assertThat(rounds.rounds()).extracting(Run::partOf).containsExactly(Optional.of(new PartOf.Round(1)));
        shop.undo();
        assertThat(rounds.next()).as("of the day before again").isEqualTo(3);
        shop.season().club().additions().addRobot(RobotKind.EDGE.setup("Dipper"));
        assertThat(rounds.next()).as("another robot has rounds of its own").isEqualTo(1);
    }
}
