package fahrbahn.app.gains;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InShop;
import fahrbahn.app.Shop;
import fahrbahn.app.club.RobotKind;
import fahrbahn.app.season.Sort;
import fahrbahn.app.shell.Workshop;
import fahrbahn.core.setup.Law;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executor;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The pair to try is worked out when it is asked for, kept while only gains change, and nothing hangs when there is none. */
class GainsAdviceTest extends InShop {
    @BeforeEach
    void open() throws Exception {
        shop.club().addRobot(RobotKind.PAIR, "Wren");
    }

    private Law law() {
        return shop.season().setupOrGuess().law();
    }

    @Test
    void askedForItIsTriedAndTaken() {
        assertThat(shop.gains().picture().get().orElseThrow().gains()).isEmpty();
        shop.gains().useAdvice();
        assertThat(shop.gains().picture().get().orElseThrow().gains()).isPresent();
        assertThat(shop.gains().verdictProperty().get().sentence()).contains("N: Drive");
        double advised = law().kp();
        shop.gains().choice().choose(advised / 2, 0, 0);
        assertThat(shop.gains().picture().get().orElseThrow().gains())
                .as("it does not depend on the gains there are")
                .isPresent();
        assertThat(shop.gains().verdictProperty().get().sentence()).contains(" (page Lane, U).");
        shop.gains().useAdvice();
        assertThat(law().kp()).isEqualTo(advised);
    }

    /** Asked for while the worker is busy, it is for the robot that was in hand then. */
    @Test
    void whatWasAskedForOneRobotIsNotGivenToAnother() throws Exception {
        List<Runnable> later = new ArrayList<>();
        boolean[] slow = {false};
        Executor worker = work -> {
            if (slow[0]) {
                later.add(work);
            } else {
                work.run();
            }
        };
        Workshop busy = Shop.open(folder.resolve("busy.fahrbahn"), new Shop.MovableClock(), worker);
        try {
            busy.club().addRobot(RobotKind.EDGE, "Robin");
            busy.club().addRobot(RobotKind.PAIR, "Wren");
            slow[0] = true;
            busy.gains().useAdvice();
            busy.season().club().takeNext(Sort.ROBOT);
            Law robins = busy.season().setupOrGuess().law();
            slow[0] = false;
            later.forEach(Runnable::run);
            assertThat(busy.season().setupOrGuess().robot().name()).isNotEqualTo("Wren");
            assertThat(busy.season().setupOrGuess().law()).isEqualTo(robins);
        } finally {
            busy.close();
        }
    }

    @Test
    void aRobotThatNothingHelpsIsToldAndNothingHangs() {
        shop.robot().moveSensor(0, -40, 12);
        shop.robot().moveSensor(1, -40, -12);
        Law before = law();
        shop.gains().useAdvice();
        assertThat(law()).isEqualTo(before);
        assertThat(shop.gains().picture().get().orElseThrow().advice().done()).isTrue();
        assertThat(shop.gains().verdictProperty().get().sentence()).contains("No gains finish", "Robot (1)");
    }

    /** Eyes over the line take the line itself for a crossing: then the sensors' lead is not what to change. */
    @Test
    void aRobotThatItsMarksHoldUpIsSentToThem() {
        lookForMarks();
        shop.gains().useAdvice();
        assertThat(shop.gains().verdictProperty().get().sentence())
                .contains("turns by marks", "page Turns")
                .doesNotContain("Robot (1)");
    }
}
