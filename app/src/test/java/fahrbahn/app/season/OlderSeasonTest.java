package fahrbahn.app.season;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.Shop;
import fahrbahn.app.shell.Workshop;
import fahrbahn.core.difference.Aspect;
import fahrbahn.core.difference.Cause;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trials.Run;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.json.Shared;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A season of the first version, as its program left it: it opens with all it held. */
class OlderSeasonTest {
    @TempDir
    private Path folder;

    private final Shop.MovableClock clock = new Shop.MovableClock();
    private Path file;

    @BeforeEach
    void copy() throws Exception {
        file = folder.resolve("older.fahrbahn");
        try (InputStream kept = OlderSeasonTest.class.getResourceAsStream("/fahrbahn/demo-2026-11.fahrbahn")) {
            Files.copy(kept, file);
        }
    }

    @Test
    void everythingItHeldIsThere() throws Exception {
        Workshop shop = Shop.open(file, clock);
        assertThat(shop.season().ledger().leftOut()).isEmpty();
        assertThat(shop.season().setupOrGuess().robot().name()).isEqualTo("Kestrel");
        assertThat(shop.season().captures())
                .extracting(Capture::surface)
                .containsExactly("light", "dark", "air", "slide", "sweep", "dark", "light");
        assertThat(shop.season().runs()).hasSize(5).allSatisfy(run -> {
            assertThat(run.source()).isEqualTo(Run.Source.TWIN);
            assertThat(run.basis().table().name()).isEqualTo("Workshop loop");
        });
        assertThat(shop.season().runs().get(0).note()).isEqualTo("first try, soft");
        assertThat(shop.season().runs().get(3).setting().setup())
                .isEqualTo(shop.season().setupOrGuess());
        assertThat(shop.season().facts()).containsOnlyKeys(Constant.LOOP_TIME);
        assertThat(shop.season().facts().get(Constant.LOOP_TIME).entries()).hasSize(2);
        assertThat(shop.season().state().documents(Kinds.ENTRIES).all()).containsOnlyKeys("ROLL", "LOOPS");
        assertThat(shop.season().conditionsProperty().get().batteryV()).isEqualTo(7.9);
        assertThat(shop.season().club().inHand(Sort.VENUE).name()).isEqualTo("Old boathouse");
        assertThat(shop.season().club().inHand(Sort.TABLE).name()).isEqualTo("Workshop loop");
        assertThat(shop.season().changes().gainsFor().kept().orElseThrow().setup())
                .contains(shop.season().setupOrGuess());
        shop.close();
    }

    /** The loop time it noted beside a fact is remembered: what was measured with it goes stale with it. */
    @Test
    void aFactKnowsTheLoopItWasMeasuredWith() throws Exception {
        Workshop shop = Shop.open(file, clock);
        Fact fact = shop.season().facts().get(Constant.LOOP_TIME);
        assertThat(fact.basis().setup().orElseThrow().robot().loop().periodS()).isEqualTo(0.01);
        Basis now = fact.basis();
        Fact lag = new Fact(Constant.LAG, fact.measured(), List.of(), now);
        assertThat(lag.staleSince(now)).isEmpty();
        Setup slower = now.setup().orElseThrow().withLoop(new Loop(0.04, 0));
        assertThat(lag.staleSince(now.withSetting(Shared.setting(slower))))
                .extracting(Cause::aspect)
                .containsOnly(Aspect.LOOP);
        shop.close();
    }

    @Test
    void itsStepsAreUndoneAndItIsWorkedOnAndOpenedAgain() throws Exception {
        Workshop shop = Shop.open(file, clock);
        assertThat(shop.season().ledger().undoable()).hasSize(3);
        shop.season().changeSetup(s -> s.withLaw(s.law().withGains(0.7, 0, 2)));
        shop.undo();
        shop.undo();
        assertThat(shop.season().runs()).isEmpty();
        shop.close();
        Workshop again = Shop.open(file, clock);
        assertThat(again.season().runs()).isEmpty();
        again.redo();
        assertThat(again.season().runs()).hasSize(5);
        again.redo();
        assertThat(again.season().setupOrGuess().law().kp()).isEqualTo(0.7);
        again.close();
    }
}
