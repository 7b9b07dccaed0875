package fahrbahn.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.club.RobotKind;
import fahrbahn.core.setup.Law;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The pair to try is worked out when it is asked for, kept while only gains change, and nothing hangs when there is none. */
class GainsAdviceTest {
    @TempDir
    private Path folder;

    private Workshop shop;

    @BeforeEach
    void open() throws Exception {
        shop = Shop.open(folder.resolve("s.fahrbahn"), new Shop.MovableClock());
        shop.club().addRobot(RobotKind.PAIR, "Wren");
    }

    @AfterEach
    void close() {
        shop.close();
    }

    private Law law() {
        return shop.season().setupOrGuess().law();
    }

    @Test
    void askedForItIsTriedAndTaken() {
        assertThat(shop.gains().pictureProperty().get().orElseThrow().gains()).isEmpty();
        shop.gains().useAdvice();
        assertThat(shop.gains().pictureProperty().get().orElseThrow().gains()).isPresent();
        assertThat(shop.gains().verdictProperty().get().sentence()).contains("N goes on to Drive");
        double advised = law().kp();
        shop.gains().choose(advised / 2, 0, 0);
        assertThat(shop.gains().pictureProperty().get().orElseThrow().gains())
                .as("it does not depend on the gains there are")
                .isPresent();
        assertThat(shop.gains().verdictProperty().get().sentence()).contains("U sets it");
        shop.gains().useAdvice();
        assertThat(law().kp()).isEqualTo(advised);
    }

    @Test
    void aRobotThatNothingHelpsIsToldAndNothingHangs() {
        shop.robot().moveSensor(0, -40, 12);
        shop.robot().moveSensor(1, -40, -12);
        Law before = law();
        shop.gains().useAdvice();
        assertThat(law()).isEqualTo(before);
        assertThat(shop.gains().pictureProperty().get().orElseThrow().advice().done())
                .isTrue();
        assertThat(shop.gains().verdictProperty().get().sentence())
                .contains("No pair of gains comes round", "Robot (1)");
    }
}
