package fahrbahn.app.shell;

import fahrbahn.core.InMemory;
import fahrbahn.core.table.Palette;
import fahrbahn.core.tuning.UsualTurnMarks;
import java.nio.file.Path;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

/** Tests of the stations' models: a new season in a workshop without a window, under a clock that the test moves. */
abstract class InShop {
    @TempDir(factory = InMemory.class)
    Path folder;

    final Shop.MovableClock clock = new Shop.MovableClock();

    /** For computations. */
    final HeldWorker worker = new HeldWorker();

    Workshop shop;

    @BeforeEach
    final void openShop() throws Exception {
        shop = Shop.open(season(), clock, worker);
    }

    @AfterEach
    final void closeShop() {
        shop.close();
    }

    /** As the next evening does. */
    final void reopen() throws Exception {
        shop.close();
        openShop();
    }

    private Path season() {
        return folder.resolve("s.fahrbahn");
    }

    final void later(long seconds) {
        clock.now = clock.now.plusSeconds(seconds);
    }

    /** The program of the robot in hand looks for coloured marks from now on. */
    final void lookForMarks() {
        shop.season()
                .changeSetup(s -> s.withLaw(s.law()
                        .withOptions(
                                s.law().options().withTurnMarks(Optional.of(UsualTurnMarks.of(s, Palette.USUAL))))));
    }

    /** On the notice line. */
    final String told() {
        return shop.notices().shownProperty().get();
    }
}
