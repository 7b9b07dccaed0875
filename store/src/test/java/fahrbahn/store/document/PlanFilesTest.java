package fahrbahn.store.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import fahrbahn.core.plan.Asked;
import fahrbahn.core.plan.Block;
import fahrbahn.core.plan.Plan;
import fahrbahn.core.plan.PlanRequest;
import fahrbahn.core.plan.PlanRequest.Team;
import fahrbahn.core.plan.Schedule;
import fahrbahn.core.plan.Stage;
import fahrbahn.core.plan.Stage.Pair;
import fahrbahn.store.exchange.PlanCalendar;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.PlanJson;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PlanFilesTest {
    private static final String WHOLE = """
            {"format": "fahrbahn-plan", "version": 1, "minutes": 40, "tables": ["by the window", "by the door"], "lampChangesS": [1200],
             "calibrateS": 150, "teams": [{"name": "Sandpipers", "robots": ["Plover", "Dunlin"], "settings": ["soft", "sharp; wide"],
             "lapS": 22, "resetS": 20, "runsEach": 5, "checkS": 100, "batteryRuns": 8, "swapS": 80}]}""";

    @TempDir
    Path folder;

    private PlanRequest read(String json) throws Exception {
        return PlanJson.read(Files.writeString(folder.resolve("plan.json"), json));
    }

    @Test
    void allOfItIsRead() throws Exception {
        PlanRequest request = read(WHOLE);
        assertThat(request)
                .isEqualTo(new PlanRequest(
                        40,
                        List.of("by the window", "by the door"),
                        List.of(new Team(
                                "Sandpipers",
                                Team.compared(List.of("Plover", "Dunlin"), List.of("soft", "sharp; wide"), 5),
                                22,
                                20,
                                100,
                                8,
                                80)),
                        List.of(1200.0),
                        150));
    }

    @Test
    void tablesMayBeANumberAndTheRestLeftOut() throws Exception {
        PlanRequest request = read("{\"minutes\": 10, \"tables\": 2, \"teams\": [{\"name\": \"a\", \"robots\": [\"r\"],"
                + " \"settings\": [\"s\"], \"lapS\": 10, \"resetS\": 5, \"runsEach\": 3}]}");
        assertThat(request.tables()).containsExactly("table 1", "table 2");
        assertThat(request.teams().get(0))
                .isEqualTo(new Team("a", Team.compared(List.of("r"), List.of("s"), 3), 10, 5, 0, Team.ANY, 120));
    }

    /** A ladder: straight, bends, steps, confirmation; robots with settings of their own. */
    @Test
    void stagesAreRead() throws Exception {
        Team team = read("{\"minutes\": 10, \"tables\": 1, \"teams\": [{\"name\": \"a\", \"lapS\": 10, \"resetS\": 5,"
                        + " \"stages\": [{\"what\": \"straight\", \"robots\": [\"r\"], \"settings\": [\"low\"], \"runsEach\": 1},"
                        + " {\"what\": \"kp\", \"pairs\": [{\"robot\": \"r\", \"setting\": \"1\"}, {\"robot\": \"q\","
                        + " \"setting\": \"2\"}], \"runsEach\": 2}]}]}")
                .teams()
                .get(0);
        assertThat(team.stages())
                .containsExactly(
                        Stage.of(Block.What.STRAIGHT, List.of("r"), List.of("low"), 1),
                        new Stage(Block.What.KP_STEP, List.of(new Stage.Pair("r", "1"), new Stage.Pair("q", "2")), 2));
        assertThatThrownBy(() -> read("{\"minutes\": 10, \"tables\": 1, \"teams\": [{\"name\": \"a\", \"lapS\": 10,"
                        + " \"resetS\": 5, \"stages\": [{\"what\": \"battery\", \"robots\": [\"r\"], \"settings\": [\"s\"],"
                        + " \"runsEach\": 1}]}]}"))
                .isInstanceOf(BadFileException.class)
                .hasMessageContaining("teams[0].stages[0].what");
    }

    @Test
    void aPlanOnItsWayComesBack() throws Exception {
        Schedule begun = Schedule.begun(read(WHOLE), Instant.parse("2031-05-04T08:00:00Z"), 7);
        Pair asked = new Pair("r", "one", new Asked(1, 0.25, Double.NaN, 40));
        Team climbs = new Team("climbs", List.of(new Stage(Block.What.KP_STEP, List.of(asked), 2)), 10, 5, 0, 3, 60);
        Schedule numbers = Schedule.begun(new PlanRequest(10, List.of("t"), List.of(climbs)), begun.begins(), 7);
        assertThat(ScheduleJson.parse(ScheduleJson.write(numbers))).isEqualTo(numbers);
        Schedule onItsWay =
                begun.with(begun.plan().blocks().get(0), begun.begins().plusSeconds(110));
        assertThat(ScheduleJson.parse(ScheduleJson.write(onItsWay))).isEqualTo(onItsWay);
        assertThat(ScheduleJson.parse(ScheduleJson.write(onItsWay)).plan()).isEqualTo(onItsWay.plan());
        assertThatThrownBy(() -> ScheduleJson.parse(ScheduleJson.write(begun).replace("2031-05-04", "some day")))
                .isInstanceOf(BadFileException.class)
                .hasMessageContaining("begins");
    }

    @Test
    void whatCannotBePlannedIsRefusedByItsField() {
        for (String[] bad : new String[][] {
            {"\"minutes\": 40", "\"minutes\": -1", "minutes"},
            {"\"minutes\": 40", "\"minutes\": \"long\"", "minutes"},
            {"\"lapS\": 22", "\"lapS\": 0", "lapS"},
            {"\"runsEach\": 5", "\"runsEach\": 2.5", "runsEach"},
            {"\"runsEach\": 5", "\"runsEach\": 1e9", "runsEach"},
            {"[\"Plover\", \"Dunlin\"]", "[\"Plover\", \"Plover\"]", "robots"},
            {"[\"Plover\", \"Dunlin\"]", "\"Plover\"", "robots"},
            {"[\"by the window\", \"by the door\"]", "0", "tables"},
            {"[\"by the window\", \"by the door\"]", "1.5", "tables"},
            {"\"batteryRuns\": 8", "\"batteryRuns\": 0", "batteryRuns"},
            {"fahrbahn-plan", "fahrbahn-story", "format"}
        }) {
            assertThatThrownBy(() -> read(WHOLE.replace(bad[0], bad[1])))
                    .as(bad[1])
                    .isInstanceOf(BadFileException.class)
                    .hasMessageContaining(bad[2]);
        }
    }

    /** Read back by the library: each block at its time, with its words whole. */
    @Test
    void appointmentsAreThoseOfThePlan() throws Exception {
        Plan plan = Plan.of(read(WHOLE), 1);
        Instant begins = Instant.parse("2031-05-04T08:00:00Z");
        Path file = folder.resolve("plan.ics");
        PlanCalendar.write(file, plan, begins);
        ICalendar back = Biweekly.parse(Files.readString(file)).first();
        assertThat(back.getEvents()).hasSameSizeAs(plan.blocks());
        for (int i = 0; i < plan.blocks().size(); i++) {
            Block block = plan.blocks().get(i);
            VEvent event = back.getEvents().get(i);
            assertThat(event.getDateStart().getValue().toInstant())
                    .isEqualTo(begins.plusSeconds((long) block.startS()));
            assertThat(event.getDateEnd().getValue().toInstant()).isEqualTo(begins.plusSeconds((long) block.endS()));
            assertThat(event.getLocation().getValue()).isEqualTo(block.table());
            assertThat(event.getSummary().getValue()).contains("Sandpipers").contains(block.setting());
        }
    }

    /** Names of any letters: no line longer than 75 octets, none broken in a character, nothing that a reader stumbles over. */
    @Test
    void appointmentsFoldByOctetsWhateverTheName() throws Exception {
        String odd = "日本🦊".repeat(20) + "\\u202e\\u0007";
        Plan plan = Plan.of(read(WHOLE.replace("Sandpipers", odd).replace("by the window", "ł".repeat(90))), 1);
        Path file = folder.resolve("plan.ics");
        PlanCalendar.write(file, plan, Instant.parse("2031-05-04T08:00:00Z"));
        String text = Files.readString(file);
        assertThat(text.split("\r\n")).allMatch(line -> line.getBytes(StandardCharsets.UTF_8).length <= 75);
        assertThat(text).doesNotContain("\ufffd\ufffd\ufffd\ufffd", "\u202e", "\u0007");
        ICalendar back = Biweekly.parse(text).first();
        assertThat(back.getEvents()).hasSameSizeAs(plan.blocks());
        assertThat(back.getEvents().get(0).getSummary().getValue()).contains("日本🦊".repeat(20));
    }
}
