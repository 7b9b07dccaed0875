package fahrbahn.app.demo;

import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.readings.Lamp;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.trials.RunRecord;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.TickSink;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import fahrbahn.store.BadFileException;
import fahrbahn.store.CaptureJson;
import fahrbahn.store.Change;
import fahrbahn.store.ConditionsJson;
import fahrbahn.store.CourseJson;
import fahrbahn.store.RunJson;
import fahrbahn.store.SeasonFile;
import fahrbahn.store.SetupJson;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/** Makes the demo season. Captures come from the bench robot and runs from the twin, so every number is computed, none typed. */
public final class DemoSeason {
    /** Where the made-up club works. */
    private static final Conditions HALL = new Conditions("Old boathouse", Lamp.ON, Double.NaN, 7.9, "soft, 56 mm");

    private static final long SEED = 20;

    private DemoSeason() {}

    /** Opens the demo season, or makes it when it is not there yet. */
    public static SeasonFile open(Path file, Clock clock) throws BadFileException {
        if (Files.exists(file)) {
            return SeasonFile.open(file, clock);
        }
        SeasonFile season = SeasonFile.create(file, clock);
        Setup setup = setup();
        List<Change> changes = new ArrayList<>(List.of(
                Change.put("conditions", "main", ConditionsJson.write(HALL)),
                Change.put("setup", "main", SetupJson.write(setup)),
                Change.put("chosen-for", "main", SetupJson.write(setup)),
                Change.put("chosen-under", "main", ConditionsJson.write(noted(setup))),
                Change.put("course", "main", CourseJson.write(DemoCourses.workshopLoop()))));
        for (Capture capture : DemoCaptures.of(SEED, clock.instant(), noted(setup))) {
            changes.add(Change.put("capture", capture.id(), CaptureJson.write(capture)));
        }
        season.apply(changes);
        season.apply(DemoBench.measured(setup, clock.instant().minusSeconds(3600), noted(setup)));
        season.apply(runs(setup, clock.instant()));
        return season;
    }

    /** The demo robot: two eyes astride the line, a little slow to answer. */
    public static Setup setup() throws BadFileException {
        try (InputStream json = DemoSeason.class.getResourceAsStream("/fahrbahn/app/demo.setup.json")) {
            return SetupJson.parse(new String(json.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    private static Conditions noted(Setup setup) {
        return HALL.withSensorHeightMm(setup.robot().chassis().sensorHeightMm());
    }

    /** Three laps with softer gains, then two as they are set now. */
    private static List<Change> runs(Setup setup, Instant now) {
        Setup softer = setup.withLaw(setup.law().withGains(0.12, 0, 0.2));
        List<Change> changes = new ArrayList<>();
        Course course = DemoCourses.workshopLoop();
        for (int i = 0; i < 5; i++) {
            Setup used = i < 3 ? softer : setup;
            RunResult result = Twin.run(Track.of(course, used), Start.noisy(0, SEED + i), TickSink.NONE);
            RunRecord run = new RunRecord(
                    "demo-run-" + (i + 1),
                    now.minusSeconds(70 - 10L * i),
                    RunRecord.Source.TWIN,
                    course.name(),
                    used,
                    new RunRecord.Outcome(result.completed(), result.timeS(), result.rmsMm()),
                    i < 3 ? "first try, soft" : "");
            changes.add(Change.put("run", run.id(), RunJson.write(run)));
        }
        return changes;
    }
}
