package fahrbahn.app.handover.card;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InShop;
import fahrbahn.app.Shop;
import fahrbahn.app.club.RobotKind;
import fahrbahn.core.readings.Capture;
import java.nio.file.Files;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The pit card: what it warns of, and how it is written. */
class CardModelTest extends InShop {
    @BeforeEach
    void open() throws Exception {
        shop.season().club().additions().addRobot(RobotKind.PAIR.setup("Wren"));
    }

    private void capture() {
        later(5);
        shop.season()
                .addCaptures(List.of(
                        Shop.capture(Capture.DARK, clock.now, 201.5, 230.25, shop),
                        Shop.capture(Capture.LIGHT, clock.now, 712.5, 690.25, shop)));
    }

    /** Captured twice on the same surface: the card does not pass over it. */
    @Test
    void aCardSaysThatDarkAndLightAreTooAlike() {
        later(5);
        shop.season()
                .addCaptures(List.of(
                        Shop.capture(Capture.DARK, clock.now, 700, 690, shop),
                        Shop.capture(Capture.LIGHT, clock.now, 700, 690, shop)));
        shop.handover().card().shown().show();
        assertThat(shop.handover().card().shown().get().orElseThrow().card().stale())
                .anyMatch(line -> line.startsWith("Dark and light: Sensor left"));
        capture();
        shop.handover().card().shown().show();
        assertThat(shop.handover().card().shown().get().orElseThrow().card().stale())
                .noneMatch(line -> line.startsWith("Dark and light: Sensor left"));
    }

    @Test
    void aCardIsWrittenWholeOrNotAtAll() throws Exception {
        for (String name : List.of("card.pdf", "card.png", "card.svg")) {
            shop.handover().card().save(folder.resolve(name));
            assertThat(told()).contains("Saved as " + name);
            assertThat(Files.size(folder.resolve(name))).isGreaterThan(2000);
        }
        Files.createDirectory(folder.resolve("taken.pdf"));
        shop.handover().card().save(folder.resolve("taken.pdf"));
        assertThat(told()).contains("taken.pdf");
        assertThat(folder.resolve("taken.pdf")).isEmptyDirectory();
    }
}
