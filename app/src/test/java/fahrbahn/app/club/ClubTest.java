package fahrbahn.app.club;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.DemoOnce;
import fahrbahn.app.Hands;
import fahrbahn.app.InWindow;
import fahrbahn.app.freshness.Freshness;
import fahrbahn.app.freshness.Station;
import fahrbahn.app.season.Sort;
import fahrbahn.core.setup.ErrorSignal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import javafx.event.Event;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The start page and the club in a real window, by keys. */
class ClubTest extends InWindow {
    @BeforeEach
    @Override
    protected void open() throws Exception {
        open(List.of());
    }

    private void begin(String season, String robotName, KeyCode kind) throws Exception {
        robot.type(KeyCode.N);
        robot.write(season).type(KeyCode.ENTER);
        untilOpen();
        until("what robot is it", () -> robot.lookup("#clubNewName").tryQuery().isPresent());
        robot.write(robotName).type(KeyCode.ENTER).type(kind);
        until("at the robot", () -> text("freshness").startsWith("Robot"));
    }

    @Test
    void aNewSeasonLeadsToItsFirstNumberAndWhatToMeasureFirst() throws Exception {
        begin("Spring", "Wren", KeyCode.W);
        assertThat(shop().season().setupOrGuess().robot().sensors()).hasSize(8);
        assertThat(shop().season().setupOrGuess().law().signal()).isEqualTo(ErrorSignal.ARRAY_MEAN);
        until("judged", () -> mark(Station.ROBOT) == Freshness.Mark.GUESS);
        assertThat(text("verdict")).contains("mm ahead", "times the");
        until("the first measurement is offered", () -> text("repair").startsWith("Fix: measure the "));
        robot.clickOn("#repair");
        until("its card is up", () -> robot.lookup("#useResult").tryQuery().isPresent());
        try (Stream<Path> files = Files.list(home)) {
            assertThat(files.map(f -> f.getFileName().toString())).contains("Spring.fahrbahn");
        }

        robot.clickOn("#seasons");
        until("back at the start", () -> shop() == null);
        robot.type(KeyCode.DIGIT1);
        untilOpen();
        assertThat(text("hand-robot")).isEqualTo("Wren");
    }

    /** From nothing to a level on the robot, with numbers off its display alone, by the keyboard alone, from whatever page is up. */
    @Test
    void aNewSeasonComesToALevelByTypedNumbersAndKeysAlone() throws Exception {
        begin("Typed", "Wren", KeyCode.P);
        go(Station.MEASURE);
        robot.type(KeyCode.PAGE_DOWN, KeyCode.PAGE_DOWN, KeyCode.L);
        until("light is asked for", () -> text("typingAsks").startsWith("Type light, sensor left"));
        robot.write("88 89 x").type(KeyCode.ENTER);
        until("refused", () -> text("typingProblem").contains("'x'"));
        over("88 89 84");
        robot.type(KeyCode.ENTER);
        until("the next sensor", () -> text("typingAsks").contains("right"));
        robot.write("90 91 86").type(KeyCode.ENTER);
        until("light is there", () -> shop().measure().latest("light").isPresent());
        robot.type(KeyCode.T);
        until("dark is asked for", () -> text("typingAsks").startsWith("Type dark, sensor left"));
        robot.write("21 20 24").type(KeyCode.ENTER).write("18 19 17").type(KeyCode.ENTER);
        until("dark is there", () -> shop().measure().latest("dark").isPresent());
        assertThat(shop().season().captures()).allMatch(c -> c.typed());
        go(Station.LEVELS);
        until("a level", () -> text("verdict").startsWith("Threshold left"));
        robot.type(KeyCode.U);
        until("on the robot", () -> mark(Station.LEVELS) == Freshness.Mark.FRESH);
        assertThat(shop().season().setupOrGuess().robot().sensors().get(0).light())
                .isBetween(84.0, 89.0);
    }

    @Test
    void oneKeyEachAddsCopiesRenamesRetiresAndTakesInHand() throws Exception {
        begin("Club", "Wren", KeyCode.P);
        robot.type(KeyCode.DIGIT0);
        until("the club", () -> text("verdict").startsWith("You are working on: Wren"));
        onWindow(() -> {
            held(KeyCode.C);
            return null;
        });
        until("a copy in hand", () -> text("hand-robot").equals("Wren 2"));
        robot.type(KeyCode.R);
        robot.write("Plover").type(KeyCode.ENTER);
        until("renamed", () -> text("hand-robot").equals("Plover"));
        robot.type(KeyCode.F2);
        until("the other in hand by one key", () -> text("hand-robot").equals("Wren"));
        robot.type(KeyCode.T);
        until(
                "Plover hidden",
                () -> shop().season().club().entries(Sort.ROBOT).stream()
                        .anyMatch(e -> e.name().equals("Plover") && e.retired()));
        robot.type(KeyCode.F2);
        assertThat(text("hand-robot")).as("nobody else is offered").isEqualTo("Wren");
        undo();
        until(
                "brought back by undo",
                () -> shop().season().club().entries(Sort.ROBOT).stream().noneMatch(e -> e.retired()));
        assertThat(text("turned")).isEqualTo("Undone: Plover archived");

        robot.type(KeyCode.RIGHT).type(KeyCode.A);
        robot.write("Attic").type(KeyCode.ENTER);
        until("a table in hand", () -> text("hand-table").equals("Attic"));
        robot.type(KeyCode.LEFT, KeyCode.LEFT).type(KeyCode.A);
        robot.write("Larks").type(KeyCode.ENTER);
        until("a team", () -> shop().season().club().entries(Sort.TEAM).size() == 1);
        robot.type(KeyCode.RIGHT).type(KeyCode.M);
        until(
                "Wren belongs to it",
                () -> shop().season().club().inHand(Sort.ROBOT).team().equals("Larks"));
        assertThat(text("verdict")).startsWith("You are working on: Wren of the team Larks, on Attic");
    }

    /** As a keyboard tells that a key is held down: pressed and pressed again. */
    private void held(KeyCode key) {
        Scene scene = robot.lookup("#verdict").query().getScene();
        for (int i = 0; i < 4; i++) {
            Event.fireEvent(scene.getFocusOwner(), Hands.event(KeyEvent.KEY_PRESSED, "", key));
        }
        Event.fireEvent(scene.getFocusOwner(), Hands.event(KeyEvent.KEY_RELEASED, "", key));
    }

    @Test
    void theDemoClubHoldsThreeRobotsThreeTablesAndTwoVenues() throws Exception {
        DemoOnce.copyTo(home.resolve("demo.fahrbahn"));
        robot.type(KeyCode.D);
        untilOpen();
        assertThat(shop().season().club().entries(Sort.ROBOT)).hasSize(3);
        assertThat(shop().season().club().entries(Sort.TABLE)).hasSize(3);
        assertThat(shop().season().club().entries(Sort.VENUE)).hasSize(2);
        assertThat(shop().season().club().entries(Sort.TEAM)).hasSize(2);
        for (String name : List.of("Kestrel", "Heron", "Otter")) {
            until(name + " in hand", () -> text("hand-robot").equals(name));
            assertThat(shop().season().runs()).hasSizeGreaterThan(10);
            assertThat(shop().season().captures()).hasSizeGreaterThanOrEqualTo(2);
            robot.type(KeyCode.F2);
        }
        robot.type(KeyCode.F3, KeyCode.F3);
        until("the mat in hand", () -> text("hand-table").equals("Harbour mat"));
        go(Station.DRIVE);
        until("the twin can ride it", () -> shop().drive().laidProperty().get().isPresent());
        robot.type(KeyCode.SPACE);
        until("it has run", () -> shop().drive().canKeep());
    }
}
