package fahrbahn.app.gains.next;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InShop;
import fahrbahn.app.club.RobotKind;
import fahrbahn.app.season.Sort;
import fahrbahn.app.state.Value;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import fahrbahn.core.trials.Outcome.Seen;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Whose next trial it is, while another is being worked out. */
class NextModelTest extends InShop {
    @BeforeEach
    void thoughtAboutWren() {
        shop.club().addRobot(RobotKind.EDGE, "Dipper");
        shop.club().addRobot(RobotKind.PAIR, "Wren");
        shop.season().club().additions().addTable(Draft.of(DemoCourses.mission()));
        next().answer().show();
        assertThat(shop.gains().nextTrial()).isPresent();
        worker.hold();
    }

    private NextModel next() {
        return shop.gains().next();
    }

    private Setup setup() {
        return shop.season().setupOrGuess();
    }

    /** It was: U in the second after F2 set the robot before on the one in hand. */
    @Test
    void whatIsNextForOneRobotIsNeverSetOnAnother() {
        shop.season().club().takeNext(Sort.ROBOT);
        Setup other = setup();
        assertThat(other.robot().name()).isEqualTo("Dipper");
        assertThat(shop.gains().nextTrial()).as("before anybody looks").isEmpty();
        next().use();
        next().answer().show();
        assertThat(next().answer().value().shown())
                .as("nothing to be misled by")
                .isEmpty();
        next().use();
        assertThat(setup()).isEqualTo(other);
        assertThat(told()).startsWith("Still working out the next trial");
        worker.work();
        next().use();
        assertThat(setup().law()).isNotEqualTo(other.law());
    }

    /** A trial was seen: what was next before it is not next after it. */
    @Test
    void whatWasNextBeforeATrialIsNotSetAfterIt() {
        next().use();
        Setup tried = setup();
        next().answer().show();
        worker.work();
        later(60);
        next().see(Seen.LOST_BEND, false);
        assertThat(shop.gains().nextTrial()).isEmpty();
        next().use();
        assertThat(setup()).isEqualTo(tried);
        next().answer().show();
        assertThat(next().answer().value())
                .as("what was next before is not what is next")
                .isInstanceOf(Value.Computing.class);
        worker.work();
        assertThat(shop.gains().nextTrial()).isPresent();
        next().use();
        assertThat(told()).isEmpty();
    }
}
