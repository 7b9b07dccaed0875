package fahrbahn.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.Shop;
import fahrbahn.app.freshness.Station;
import fahrbahn.app.runs.QuickLog;
import fahrbahn.core.path.Part;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Isolated;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Where commas are points and small i has no capital I, every word and every document is the same. */
@Isolated
class LocaleTest {
    @TempDir
    private Path folder;

    private final Locale before = Locale.getDefault();

    @AfterEach
    void putBack() {
        Locale.setDefault(before);
    }

    @ParameterizedTest
    @ValueSource(strings = {"de", "tr", "ar-EG"})
    void nothingOnScreenDependsOnTheLocale(String tag) throws Exception {
        Locale.setDefault(Locale.ENGLISH);
        List<String> expected = words("en");
        Locale.setDefault(Locale.forLanguageTag(tag));
        assertThat(words(tag)).isEqualTo(expected);
    }

    private List<String> words(String name) throws Exception {
        List<String> words = new ArrayList<>();
        Shop.MovableClock clock = new Shop.MovableClock();
        Workshop shop = Shop.open(folder.resolve(name + ".fahrbahn"), clock);
        shop.season().changeConditions(c -> c.withBatteryV(7.85));
        shop.season()
                .addCaptures(List.of(
                        Shop.capture(Capture.DARK, clock.now, 201.5, 230.25, shop),
                        Shop.capture(Capture.LIGHT, clock.now, 712.5, 690.25, shop)));
        shop.levels().useOnRobot();
        shop.season().club().additions().addTable(Draft.of(DemoCourses.rescue()));
        shop.gains().choice().choose(0.315, 0, 0.8125);
        shop.table().add(new Part.Straight(4321.5));
        words.add(shop.table().verdictProperty().get().sentence());
        shop.undo();
        shop.drive().runMany();
        shop.runs().log().log(true, new QuickLog.Typed("21.55", "", "", "", "", ""));
        shop.season().changeConditions(c -> c.withBatteryV(7.25));
        for (Station station : Station.values()) {
            words.add(shop.station(station).verdictProperty().get().sentence());
            words.add(shop.station(station).freshnessProperty().get().reason());
        }
        shop.season().ledger().undoable().forEach(step -> words.add(step.label()));
        shop.close();
        Workshop again = Shop.open(folder.resolve(name + ".fahrbahn"), clock);
        words.add(again.season().setupOrGuess().toString());
        words.add(again.season().conditionsProperty().get().toString());
        assertThat(again.season().ledger().leftOut()).isEmpty();
        again.close();
        return words;
    }
}
