package fahrbahn.store.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.knowledge.TablePrint;
import fahrbahn.core.mat.MatSheet;
import fahrbahn.core.mat.PackedPicture;
import fahrbahn.core.mat.Traced;
import fahrbahn.core.measuring.Measured;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.Palette;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.ColumnMap;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.readings.Lamp;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Draft;
import fahrbahn.core.trials.Outcome;
import fahrbahn.core.trials.Run;
import fahrbahn.store.document.CaptureCodec;
import fahrbahn.store.document.Codec;
import fahrbahn.store.document.EntriesJson;
import fahrbahn.store.document.FactCodec;
import fahrbahn.store.document.RunCodec;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The documents a season keeps beside setup and runs: each comes back as it went, and says what is wrong when it cannot. */
class NotesJsonTest {
    private static final Conditions FULL = new Conditions("Old boathouse", Lamp.OFF, 8.5, 7.6, "soft");

    @Test
    void conditionsComeBackAndWhatWasNotNotedStaysSo() throws Exception {
        assertThat(ConditionsJson.parse(ConditionsJson.write(FULL))).isEqualTo(FULL);
        assertThat(ConditionsJson.parse(ConditionsJson.write(Conditions.UNKNOWN)))
                .isEqualTo(Conditions.UNKNOWN);
        assertThat(ConditionsJson.parse("{}")).isEqualTo(Conditions.UNKNOWN);
        assertThatThrownBy(() -> ConditionsJson.parse("{\"batteryV\": -3}")).hasMessageContaining("batteryV is -3");
        assertThatThrownBy(() -> ConditionsJson.parse("{\"lamp\": \"dim\"}")).hasMessageContaining("\"on\" or \"off\"");
    }

    private final Shared shared = new Shared();

    private Basis basis() throws Exception {
        Setup setup = SetupJson.parse(SetupJsonTest.SETUP);
        return Basis.of(Instant.parse("2026-04-02T10:00:00Z"), FULL)
                .withSetting(Shared.setting(setup))
                .withKnown(Map.of(Constant.LAG, 0.004))
                .withCaptures(List.of("c1", "c2"))
                .withTable(new TablePrint("t", "Loop", "abc"));
    }

    private <T> T again(Codec<T> codec, String id, T value) throws Exception {
        return codec.read(id, codec.write(value, shared), shared);
    }

    @Test
    void aFactComesBackWithItsEntriesAndWhatItRestsOn() throws Exception {
        Fact fact = new Fact(Constant.TRACK_WIDTH, new Measured(131.25, 0.8, 4), List.of("120, 10, 21.4"), basis());
        assertThat(again(new FactCodec(), "x", fact)).isEqualTo(fact);
        assertThat(shared.unwritten())
                .extracting(s -> s.id())
                .containsExactly(basis().setting().get().id());
        assertThatThrownBy(() -> new FactCodec().read("x", "{\"constant\": \"weight\"}", shared))
                .hasMessageContaining("\"free speed\"");
    }

    @Test
    void aRunComesBackAsItWasAndPointsToItsSetting() throws Exception {
        Outcome outcome = Outcome.of(false, 12.5)
                .withLostMm(810)
                .withStop(3, -2)
                .withSeen(Outcome.Seen.LOST_BEND)
                .withWiggles(new Outcome.Wiggles(8, 4.4));
        Run run = new Run("r1", Run.Source.TABLE, "robot", basis(), outcome, "fresh battery");
        String json = new RunCodec().write(run, shared);
        assertThat(json).doesNotContain("sensors").hasSizeLessThan(600);
        Run back = new RunCodec().read("r1", json, shared);
        assertThat(back).isEqualTo(run);
        assertThat(again(new RunCodec(), "r1", run).setting().setup())
                .as("one instance for all runs")
                .isSameAs(back.setting().setup());
        assertThatThrownBy(() -> new RunCodec().read("r2", "{\"at\": \"yesterday\"}", shared))
                .hasMessageContaining("run r2");
        assertThatThrownBy(() -> new RunCodec().read("r3", json, new Shared()))
                .hasMessageContaining("one that is in the season");
    }

    @Test
    void capturesKeepTheirConditionsAndOldOnesHaveNone() throws Exception {
        List<Reading> readings = List.of(
                new Reading(0, "dark", Double.NaN, new double[] {1, 2}),
                new Reading(0.1, "dark", Double.NaN, new double[] {1, 3}));
        Capture capture = new Capture("c", "dark", Instant.EPOCH, "test", List.of("a", "b"), readings, FULL);
        assertThat(again(new CaptureCodec(), "c", capture)).isEqualTo(capture);
        String old = new CaptureCodec().write(capture, shared).replaceFirst("\"conditions\":\\{[^}]*\\},", "");
        assertThat(old).doesNotContain("venue");
        assertThat(new CaptureCodec().read("c", old, shared).conditions()).isEqualTo(Conditions.UNKNOWN);
    }

    @Test
    void matsAndTheirPicturesComeBack() throws Exception {
        Pose at = new Pose(1, 2, 0.5);
        Traced line = new Traced(
                List.of(at, new Pose(3, 4, 0.25)), true, 19.5, 120, at, List.of(at), List.of(60.0), 2, 1234.5);
        MatSheet mat = new MatSheet(
                "Quarry", "pic", 800, 400, 2000, true, Optional.of(0x101010), Optional.of(0xf0f0f0), Optional.of(line));
        assertThat(MatJson.parse(MatJson.write(mat))).isEqualTo(mat);
        MatSheet bare =
                new MatSheet("Bare", "pic", 8, 4, 20, false, Optional.empty(), Optional.empty(), Optional.empty());
        assertThat(MatJson.parse(MatJson.write(bare))).isEqualTo(bare);
        PackedPicture picture = new PackedPicture(new byte[] {1, 2, 3, -4});
        assertThat(MatJson.parsePicture(MatJson.writePicture(picture))).isEqualTo(picture);
        assertThatThrownBy(() -> MatJson.parsePicture("{\"png\": \"?\"}")).hasMessageContaining("base 64");
    }

    @Test
    void columnsEntriesAndDraftsComeBack() throws Exception {
        ColumnMap map = new ColumnMap(Map.of("x", "left", "volts", ColumnMap.NONE));
        assertThat(ColumnMapJson.parse(ColumnMapJson.write(map))).isEqualTo(map);
        List<List<Double>> rows = List.of(List.of(1.0, 2.5), List.of(3.0, -4.0));
        assertThat(EntriesJson.parse(EntriesJson.write(rows))).isEqualTo(rows);
        Draft empty = new Draft("Bare", 900, 700, new Pose(100, 50, 1), List.of(), false, Palette.USUAL);
        Draft back = CourseJson.parseDraft(CourseJson.write(empty));
        assertThat(back.parts()).isEmpty();
        assertThat(back.name()).isEqualTo("Bare");
        assertThatThrownBy(() -> CourseJson.parseDraft(CourseJson.write(empty)).course())
                .hasMessageContaining("at least one part");
    }
}
