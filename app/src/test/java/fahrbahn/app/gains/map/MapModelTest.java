package fahrbahn.app.gains.map;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InShop;
import fahrbahn.app.club.RobotKind;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What a map shows first, and when its runs are begun: by a worker that works when it is told to. */
class MapModelTest extends InShop {
    @BeforeEach
    void robotOnTheMission() {
        shop.club().addRobot(RobotKind.PAIR, "Wren");
        shop.season().club().additions().addTable(Draft.of(DemoCourses.mission()));
        worker.hold();
    }

    private MapModel map() {
        return shop.gains().map();
    }

    private int stride() {
        return map().picture().map(p -> p.map().stride()).orElse(0);
    }

    /** Who has looked at the gains sees a sketch with the page itself; runs that would slow the page down begin when it is there to be seen. */
    @Test
    void aSketchThatIsReadyIsShownAtOnceAndTheMapDrivenAfterIt() {
        shop.gains().show();
        worker.work();
        map().show();
        assertThat(stride()).as("the sketch").isEqualTo(8);
        map().show();
        assertThat(worker.waiting()).as("runs, while the page is painted").isZero();
        map().show();
        assertThat(worker.waiting()).as("the map").isEqualTo(1);
        map().show();
        assertThat(worker.waiting()).as("begun once").isEqualTo(1);
        worker.work();
        assertThat(stride()).as("complete").isEqualTo(1);
    }

    @Test
    void aSketchThatIsOnItsWayIsWaitedForAndNotBegunAnew() {
        shop.gains().show();
        map().show();
        assertThat(worker.waiting()).as("the sketch alone").isEqualTo(1);
        assertThat(stride()).isZero();
        worker.work();
        map().show();
        assertThat(stride()).isEqualTo(8);
    }

    /** It would be of runs at a speed that is not set any more. */
    @Test
    void aSketchOfAnotherSpeedIsNotShown() {
        shop.gains().show();
        worker.work();
        shop.season()
                .changeSetup(
                        s -> s.withLaw(s.law().withBaseCommand(0.8 * s.law().baseCommand())));
        worker.work();
        map().show();
        assertThat(stride()).isZero();
        assertThat(worker.waiting()).as("the map, its own sketch first").isEqualTo(1);
        worker.work();
        assertThat(stride()).isEqualTo(1);
    }

    @Test
    void whoNeverLookedAtTheGainsGetsTheMapAsWell() {
        map().show();
        worker.work();
        assertThat(stride()).isEqualTo(1);
    }
}
