package fahrbahn.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InMemory;
import fahrbahn.app.club.RobotKind;
import fahrbahn.app.gains.MapModel;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What a map shows first, and when its runs are begun: by hand, with a worker that works when it is told to. */
class MapModelTest {
    @TempDir(factory = InMemory.class)
    private Path folder;

    private final Deque<Runnable> waiting = new ArrayDeque<>();
    private boolean atOnce = true;
    private Workshop shop;

    @BeforeEach
    void open() throws Exception {
        shop = Shop.open(folder.resolve("s.fahrbahn"), new Shop.MovableClock(), work -> {
            if (atOnce) {
                work.run();
            } else {
                waiting.add(work);
            }
        });
        shop.club().addRobot(RobotKind.PAIR, "Wren");
        shop.season().club().additions().addTable(Draft.of(DemoCourses.mission()));
        atOnce = false;
    }

    @AfterEach
    void close() {
        shop.close();
    }

    private MapModel map() {
        return shop.gains().map();
    }

    private int stride() {
        return map().pictureProperty().get().map(p -> p.map().stride()).orElse(0);
    }

    private void work() {
        while (!waiting.isEmpty()) {
            waiting.remove().run();
        }
    }

    /** Who has looked at the gains sees a sketch with the page itself; runs that would slow the page down begin when it is there to be seen. */
    @Test
    void aSketchThatIsReadyIsShownAtOnceAndTheMapDrivenAfterIt() {
        shop.gains().look();
        work();
        map().look();
        assertThat(stride()).as("the sketch").isEqualTo(8);
        map().look();
        assertThat(waiting).as("runs, while the page is painted").isEmpty();
        map().look();
        assertThat(waiting).as("the map").hasSize(1);
        map().look();
        assertThat(waiting).as("begun once").hasSize(1);
        work();
        assertThat(stride()).as("complete").isEqualTo(1);
    }

    @Test
    void aSketchThatIsOnItsWayIsWaitedForAndNotBegunAnew() {
        shop.gains().look();
        map().look();
        assertThat(waiting).as("the sketch alone").hasSize(1);
        assertThat(stride()).isZero();
        work();
        map().look();
        assertThat(stride()).isEqualTo(8);
    }

    /** It would be of runs at a speed that is not set any more. */
    @Test
    void aSketchOfAnotherSpeedIsNotShown() {
        shop.gains().look();
        work();
        shop.season()
                .changeSetup(
                        s -> s.withLaw(s.law().withBaseCommand(0.8 * s.law().baseCommand())));
        work();
        map().look();
        assertThat(stride()).isZero();
        assertThat(waiting).as("the map, its own sketch first").hasSize(1);
        work();
        assertThat(stride()).isEqualTo(1);
    }

    @Test
    void whoNeverLookedAtTheGainsGetsTheMapAsWell() {
        map().look();
        work();
        assertThat(stride()).isEqualTo(1);
    }
}
