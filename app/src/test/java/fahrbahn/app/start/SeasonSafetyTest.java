package fahrbahn.app.start;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InWindow;
import fahrbahn.core.readings.Lamp;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** In the window: a season whose file goes, one that is damaged, one that is brought back. */
class SeasonSafetyTest extends InWindow {
    private Path season() {
        return home.resolve("season.fahrbahn");
    }

    private void setLamp(Lamp lamp) throws Exception {
        onWindow(() -> {
            shop().season().changeConditions(c -> c.withLamp(lamp));
            return null;
        });
    }

    private int pageOf(String table) throws Exception {
        try (var connection = DriverManager.getConnection("jdbc:sqlite:" + season());
                var found = connection
                        .createStatement()
                        .executeQuery("SELECT rootpage FROM sqlite_master WHERE name = '" + table + "'")) {
            return found.getInt(1);
        }
    }

    @Test
    void aSeasonThatIsTakenAwayIsSaidLoudlyAndGoesOnElsewhere() throws Exception {
        Files.delete(season());
        setLamp(Lamp.OFF);
        until("told", () -> text("notice").contains("removed while it was open"));
        assertThat(text("notice")).startsWith("1 change is not saved");
        assertThat(text("unsaved")).isEqualTo("1 not saved");
        assertThat(text("saveAs")).isEqualTo("Save elsewhere");
        Path other = home.resolve("rescued.fahrbahn");
        onWindow(() -> {
            shop().saveAs(other);
            return null;
        });
        until("saved", () -> text("notice").contains("You go on in that file"));
        assertThat(text("unsaved")).isEmpty();
        setLamp(Lamp.ON);
        close();
        open(List.of(other.toString()));
        untilOpen();
        assertThat(shop().season().ledger().undoable()).hasSize(2);
        assertThat(Files.exists(season()))
                .as("nothing is made in its old place")
                .isFalse();
    }

    @Test
    void aTimerNoticesItToo() throws Exception {
        Files.delete(season());
        onWindow(() -> {
            shop().watchFile();
            return null;
        });
        until("told", () -> text("notice").contains("removed while it was open"));
        assertThat(text("unsaved")).isEqualTo("Not safe on disk");
    }

    @Test
    void aDamagedSeasonIsSalvagedOrBroughtBackFromTheStartPage() throws Exception {
        setLamp(Lamp.OFF);
        close(); // which makes a backup
        byte[] bytes = Files.readAllBytes(season());
        int page = pageOf("step");
        Arrays.fill(bytes, (page - 1) * 4096, page * 4096, (byte) 9);
        Files.write(season(), bytes);
        open(List.of());
        robot.type(KeyCode.DIGIT1);
        until("told", () -> text("startTold").contains("damaged"));
        robot.type(KeyCode.S);
        untilOpen();
        assertThat(text("notice")).startsWith("Salvaged ").contains("season salvaged.fahrbahn");
        assertThat(shop().season().conditionsProperty().get().lamp()).isEqualTo(Lamp.OFF);
        assertThat(Files.readAllBytes(season())).as("as it was").isEqualTo(bytes);
        robot.clickOn("#seasons");
        until("start page", () -> robot.lookup("#bringBack").tryQuery().isPresent());
        robot.type(KeyCode.B, KeyCode.DIGIT2);
        until("backups", () -> robot.lookup("#backup-1").tryQuery().isPresent());
        assertThat(text("backup-1")).contains("robot", "last changed");
        robot.type(KeyCode.DIGIT1);
        untilOpen();
        assertThat(shop().season().pathProperty().get()).isEqualTo(season());
        assertThat(shop().season().conditionsProperty().get().lamp()).isEqualTo(Lamp.OFF);
        try (Stream<Path> all = Files.walk(home.resolve("backups"))) {
            assertThat(all.anyMatch(f -> f.toString().endsWith("-damaged"))).isTrue();
        }
    }
}
