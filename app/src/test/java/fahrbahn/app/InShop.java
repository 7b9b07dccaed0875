package fahrbahn.app;

import fahrbahn.app.shell.Workshop;
import fahrbahn.core.InMemory;
import fahrbahn.core.raster.Palette;
import fahrbahn.core.tuning.UsualTurnMarks;
import java.nio.file.Path;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

/** Tests of the stations' models: a new season in a workshop without a window, under a clock that the test moves. */
public abstract class InShop {
    @TempDir(factory = InMemory.class)
    protected Path folder;

    protected final Shop.MovableClock clock = new Shop.MovableClock();

    /** For computations. */
    protected final HeldWorker worker = new HeldWorker();

    protected Workshop shop;

    @BeforeEach
    protected final void openShop() throws Exception {
        shop = Shop.open(season(), clock, worker);
    }

    @AfterEach
    protected final void closeShop() {
        shop.close();
    }

    /** As the next evening does. */
    protected final void reopen() throws Exception {
        shop.close();
        openShop();
    }

    private Path season() {
        return folder.resolve("s.fahrbahn");
    }

    protected final void later(long seconds) {
        clock.now = clock.now.plusSeconds(seconds);
    }

    /** The program of the robot in hand looks for coloured marks from now on. */
    protected final void lookForMarks() {
        shop.season()
                .changeSetup(s -> s.withLaw(s.law()
                        .withOptions(
                                s.law().options().withTurnMarks(Optional.of(UsualTurnMarks.of(s, Palette.USUAL))))));
    }

    /** On the notice line. */
    protected final String told() {
        return shop.notices().shownProperty().get();
    }
}
