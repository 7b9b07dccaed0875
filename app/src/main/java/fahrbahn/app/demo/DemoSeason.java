package fahrbahn.app.demo;

import fahrbahn.core.job.Job;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.mat.LineFollower;
import fahrbahn.core.mat.Mat;
import fahrbahn.core.mat.MatSheet;
import fahrbahn.core.mat.Picture;
import fahrbahn.core.mat.Traced;
import fahrbahn.core.mat.TracedMat;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.Raster;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.readings.Lamp;
import fahrbahn.core.season.Hand;
import fahrbahn.core.season.Listing;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import fahrbahn.core.table.Ground;
import fahrbahn.core.twin.Track;
import fahrbahn.store.document.Kind;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.document.Put;
import fahrbahn.store.exchange.CourseSvg;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.Shared;
import fahrbahn.store.json.TablePrints;
import fahrbahn.store.picture.PictureFile;
import fahrbahn.store.picture.PicturePack;
import fahrbahn.store.season.DamagedSeasonException;
import fahrbahn.store.season.Ledger;
import fahrbahn.store.season.Scribe;
import fahrbahn.store.season.SeasonFile;
import fahrbahn.store.season.SeasonFiles;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Makes the demo season: a made-up club's teams, robots, tables and venues. Captures come from the bench robot and runs from the twin,
 * so every number is computed, none typed.
 */
public final class DemoSeason {
    private static final String HOME = "boathouse";
    private static final String HALL = "exchange";
    private static final String KESTREL = "kestrel";
    private static final String HERON = "heron";
    private static final String OTTER = "otter";
    private static final String LOOP = "loop";
    private static final String RESCUE = "rescue";
    private static final String MAT = "mat";
    private static final Conditions SOFT_WHEELS = new Conditions("", Lamp.ON, Double.NaN, 7.9, "soft, 56 mm");

    /** Kept by the bench robot for its noise. */
    private static final long SEED = 20;

    private final Ledger ledger;
    private final Map<List<Object>, Track> tracks = new HashMap<>();
    private final Instant now;
    private final Course loop = DemoCourses.workshopLoop();
    private final Course rescue = DemoCourses.rescue();

    private DemoSeason(Ledger ledger, Instant now) {
        this.ledger = ledger;
        this.now = now;
    }

    /** Opens the demo season, or makes it when it is not there yet, which takes a second or two. */
    public static SeasonFile open(Path file, Clock clock) throws BadFileException {
        if (!Files.exists(file)) {
            make(file, clock);
        }
        SeasonFile season = SeasonFile.open(file, clock);
        if (whole(season)) {
            return season;
        }
        season.close();
        return afresh(file, clock);
    }

    /** Who is in hand is noted last of all: one that was killed while it was made has nobody. */
    private static boolean whole(SeasonFile season) {
        return season.readOnly()
                || season.body(Kinds.HAND.name(), "", Kind.ONLY).isPresent();
    }

    /**
     * Makes it anew. The one there is keeps its place until the new one is whole; a damaged one makes way too.
     *
     * @throws BadFileException when it is open in another window
     */
    public static SeasonFile afresh(Path file, Clock clock) throws BadFileException {
        Path next = file.resolveSibling("fresh " + file.getFileName());
        try {
            Files.deleteIfExists(next);
            if (Files.exists(file)) {
                make(next, clock);
                try (SeasonFile lock = SeasonFile.open(file, clock)) {
                    Files.move(next, file, StandardCopyOption.REPLACE_EXISTING); // while nobody else has it
                } catch (DamagedSeasonException damaged) {
                    Files.move(next, file, StandardCopyOption.REPLACE_EXISTING);
                } finally {
                    Files.deleteIfExists(next);
                }
            }
        } catch (IOException cannot) {
            throw new BadFileException(file + " cannot be replaced (" + cannot.getMessage() + ")", cannot);
        }
        return open(file, clock);
    }

    private static void make(Path file, Clock clock) throws BadFileException {
        SeasonFiles.createWhole(file, clock, season -> {
            Ledger ledger = Ledger.open(season, new Scribe.Desk(Runnable::run, Runnable::run, (unsaved, why) -> {}));
            new DemoSeason(ledger, clock.instant()).make();
            ledger.close();
        });
    }

    private void make() throws BadFileException {
        Setup kestrel = DemoRobots.kestrel();
        Setup heron = DemoRobots.heron();
        Setup otter = DemoRobots.otter();
        ledger.change("the club", club());
        TracedMat mat = mat();
        // The first two evenings began with dark and light; the third and the one in the hall did not.
        addSpots(KESTREL, kestrel, 4, 24);
        addSpots(KESTREL, kestrel, 5, 17);
        robot(
                KESTREL,
                "larks",
                kestrel,
                kestrel,
                DemoCaptures.of(SEED, now.minus(Duration.ofMinutes(45)), noted(kestrel)));
        robot(HERON, "larks", heron, DemoRobots.heronBegun(), List.of());
        robot(OTTER, "shift", otter, otter, List.of());
        addSpots(HERON, heron, 2, 3);
        addSpots(OTTER, otter, 3, 3);
        ledger.change(
                "constants measured on " + kestrel.robot().name(),
                DemoBench.measured(KESTREL, kestrel, basis(kestrel, now.minus(Duration.ofHours(1)))));
        weeks(kestrel, heron, otter, mat);
        ledger.note(List.of(Put.of(Kinds.HAND, "", new Hand(KESTREL, LOOP, HOME))));
    }

    private List<Put<?>> club() {
        return List.of(
                Put.of(Kinds.TEAM, "", "larks", Listing.PLAIN.withName("Skylarks")),
                Put.of(Kinds.TEAM, "", "shift", Listing.PLAIN.withName("Night shift")),
                Put.of(Kinds.VENUE, HOME, Listing.PLAIN.withName("Old boathouse")),
                Put.of(Kinds.VENUE, HALL, Listing.PLAIN.withName("Corn hall")),
                Put.of(Kinds.COURSE, LOOP, Draft.of(loop)),
                Put.of(Kinds.COURSE, RESCUE, Draft.of(rescue)));
    }

    private void robot(String id, String team, Setup setup, Setup begun, List<Capture> captures) {
        List<Put<?>> puts = new ArrayList<>(List.of(
                Put.of(Kinds.ROBOT, id, Listing.PLAIN.withTeam(team)),
                Put.of(Kinds.SETUP, id, setup),
                Put.of(Kinds.CONDITIONS, id, SOFT_WHEELS),
                Put.of(Kinds.CHOSEN, id, basis(setup, now.minus(Duration.ofMinutes(30))))));
        if (begun != setup) {
            puts.add(Put.of(Kinds.BEGUN, id, begun));
        }
        puts.addAll(captured(id, setup, captures));
        ledger.change("the robot " + setup.robot().name(), puts);
    }

    private void addSpots(String owner, Setup setup, long seed, int daysAgo) {
        List<Capture> spots = DemoCaptures.spots(
                owner, setup, seed, now.minus(Duration.ofDays(daysAgo)).minus(Duration.ofHours(1)), noted(setup));
        ledger.change("captures of " + setup.robot().name(), captured(owner, setup, spots));
    }

    /** Captures, and that the levels on the robot come from them. */
    private static List<Put<?>> captured(String owner, Setup setup, List<Capture> captures) {
        List<Put<?>> puts = new ArrayList<>();
        captures.forEach(c -> puts.add(Put.of(Kinds.CAPTURE, owner, c.id(), c)));
        List<Capture> from = captures.stream()
                .filter(c -> c.surface().equals(Capture.DARK) || c.surface().equals(Capture.LIGHT))
                .toList();
        if (!from.isEmpty()) {
            puts.add(Put.of(
                    Kinds.LEVELS,
                    owner,
                    Basis.of(from.get(0).at(), from.get(0).conditions())
                            .withSetting(Shared.setting(setup))
                            .withCaptures(from.stream().map(Capture::id).toList())));
        }
        return puts;
    }

    private Basis basis(Setup setup, Instant at) {
        return Basis.of(at, noted(setup))
                .withSetting(Shared.setting(setup))
                .withTable(TablePrints.of(LOOP, Draft.of(loop)));
    }

    private static Conditions noted(Setup setup) {
        return SOFT_WHEELS
                .withVenue(HOME)
                .withSensorHeightMm(setup.robot().chassis().sensorHeightMm());
    }

    /** The mat of this season as it was printed: a drawing of a mission course, read again and followed. */
    private TracedMat mat() throws BadFileException {
        Course mission = DemoCourses.mission();
        byte[] drawing = CourseSvg.write(Draft.of(mission), 19, true).getBytes(java.nio.charset.StandardCharsets.UTF_8);
        PictureFile read = PictureFile.drawing(drawing);
        PicturePack pack = PicturePack.of(read.picture());
        Picture picture = pack.picture();
        double width = read.widthMm().orElse(mission.widthMm());
        Pose on = mission.start().ahead(60);
        int line = Mat.colourAt(picture, width, on.xMm(), on.yMm());
        int ground = Mat.colourAt(picture, width, on.xMm(), on.yMm() + 60);
        Mat printed = new Mat("Harbour mat", picture, width, line, ground);
        Raster raster = printed.raster();
        Traced traced = LineFollower.from(raster.blurred(1.2 * raster.cellMm()), on.xMm(), on.yMm(), Job.UNWATCHED);
        MatSheet sheet = new MatSheet(
                printed.name(),
                pack.id(),
                picture.columns(),
                picture.rows(),
                width,
                true,
                Optional.of(line),
                Optional.of(ground),
                Optional.of(traced));
        ledger.change(
                "the mat " + sheet.name(),
                List.of(Put.of(Kinds.PICTURE, "", pack.id(), pack.packed()), Put.of(Kinds.MAT, MAT, sheet)));
        return new TracedMat(printed, traced);
    }

    /** Four weeks: soft gains at first, then those of now; the last evening in the other hall, on the mat. */
    private void weeks(Setup kestrel, Setup heron, Setup otter, TracedMat mat) {
        runs(KESTREL, softer(kestrel), 24, LOOP, loop, HOME, 8, "first try, soft");
        runs(KESTREL, kestrel, 17, LOOP, loop, HOME, 10, "");
        runs(KESTREL, kestrel, 9, RESCUE, rescue, HOME, 6, "the gap is the hard part #gap");
        runs(KESTREL, kestrel, 2, MAT, mat, HALL, 6, "another hall, another mat #hall");
        runs(KESTREL, kestrel, 0, LOOP, loop, HOME, 10, "");
        runs(HERON, softer(heron), 23, LOOP, loop, HOME, 6, "");
        runs(HERON, heron, 10, LOOP, loop, HOME, 8, "");
        runs(OTTER, otter, 16, LOOP, loop, HOME, 8, "");
        runs(OTTER, otter, 8, MAT, mat, HALL, 8, "");
    }

    /** Painted once for each robot and ground: gains change nothing of what it sees. */
    private Track track(Ground ground, Setup setup) {
        return tracks.computeIfAbsent(List.of(ground, setup.robot().sensors()), seen -> Track.of(ground, setup));
    }

    private static Setup softer(Setup setup) {
        return setup.withLaw(
                setup.law().withGains(setup.law().kp() / 5, 0, setup.law().kd() / 9));
    }

    private void runs(
            String robot, Setup setup, int daysAgo, String table, Ground ground, String venue, int count, String note) {
        Instant at = now.minus(Duration.ofDays(daysAgo)).minus(Duration.ofMinutes(40));
        String print = ledger.get(Kinds.MAT, table)
                .map(sheet -> TablePrints.of(table, sheet))
                .orElseGet(() ->
                        TablePrints.of(table, ledger.get(Kinds.COURSE, table).orElseThrow()))
                .print();
        DemoRuns.Evening evening =
                new DemoRuns.Evening(at, table, ground.name(), print, ground, SOFT_WHEELS.withVenue(venue));
        ledger.change(
                count + " runs of " + setup.robot().name(),
                DemoRuns.evening(robot, setup, evening, track(ground, setup), count, SEED + daysAgo, note));
    }
}
