package fahrbahn.app.season;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InShop;
import fahrbahn.app.Shop;
import fahrbahn.app.freshness.Freshness.Mark;
import fahrbahn.app.freshness.Station;
import fahrbahn.app.runs.QuickLog;
import fahrbahn.app.shell.Workshop;
import fahrbahn.core.difference.Aspect;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.knowledge.FreshnessRule;
import fahrbahn.core.measuring.Measured;
import fahrbahn.core.path.Part;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Lamp;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Every kind of change against every station: what really becomes of each is what {@link FreshnessRule} says, and so is docs/freshness.md. */
class FreshnessMatrixTest extends InShop {
    /** A change, and what it is or, where there is more to it, one letter a station in their order: F fresh, S stale, M missing. */
    private enum Change {
        NOTHING("FFFFFFFF", s -> {}),
        VENUE(Aspect.VENUE, s -> s.season().club().goTo("Another hall")),
        LAMP(Aspect.LAMP, s -> s.season().changeConditions(c -> c.withLamp(Lamp.OFF))),
        BATTERY(Aspect.BATTERY, s -> s.season().changeConditions(c -> c.withBatteryV(7.2))),
        WHEELS(Aspect.WHEELS, s -> s.season().changeConditions(c -> c.withWheels("hard"))),
        HEIGHT(
                Aspect.HEIGHT,
                setup(s -> s.withRobot(s.robot().withChassis(s.robot().chassis().withSensorHeightMm(14))))),
        LOOP_TIME(
                Aspect.LOOP,
                setup(s -> s.withLoop(new Loop(0.025, s.robot().loop().delayS())))),
        FREE_SPEED(Aspect.DRIVE, setup(s -> s.withDrive(s.robot().drive().withFreeSpeedMmPerS(800)))),
        SENSOR_MOVED(
                Aspect.LAYOUT,
                setup(s -> s.withRobot(
                        s.robot().withSensor(0, s.robot().sensors().get(0).withPlace(62, 10))))),
        MORE_SENSORS(Aspect.SENSORS, s -> s.robot().useRow(fahrbahn.core.knowledge.SensorPreset.PHOTOTRANSISTOR, 4)),
        SURFACES(Aspect.SURFACES, setup(s -> {
            Sensor left = s.robot().sensors().get(0);
            return s.withRobot(s.robot().withSensor(0, left.withSurfaces(left.dark(), left.light() + 90, 3)));
        })),
        LINE(
                Aspect.LINE,
                setup(s -> s.withLine(new Line(30, s.line().polarity(), s.line().tightestRadiusMm())))),
        BEND(Aspect.BEND, setup(s -> s.withLine(new Line(20, s.line().polarity(), 220)))),
        LAW(Aspect.LAW, setup(s -> s.withLaw(s.law().withSignal(ErrorSignal.EDGE)))),
        BASE_COMMAND(Aspect.LAW, setup(s -> s.withLaw(s.law().withBaseCommand(30)))),
        GAINS(Aspect.GAINS, s -> s.gains().choice().choose(0.25, 0, 0.9)),
        TABLE_CHANGED("FMFFFSSF", s -> s.table().reshape(new Part.Straight(1300))),
        OTHER_TABLE("FFFFFMSF", s -> s.season().club().additions().addTable(Draft.of(DemoCourses.sprint()))),
        CAPTURED_ANEW_ALIKE("FFFFFFFF", s -> recapture(s, 0)),
        CAPTURED_ANEW_OTHERWISE(Aspect.CAPTURES, s -> recapture(s, 60)),
        AGE(Aspect.AGE, Shop.MORNING.plus(Duration.ofHours(13))),
        KNOWN_BETTER("FFFFFFFF", s -> measure(s, Constant.FREE_SPEED, 501.2)),
        CHANGED_AND_MEASURED("FFFFSSSS", s -> measure(s, Constant.FREE_SPEED, 650));

        private final String expected;
        private final Optional<Aspect> aspect;
        private final Consumer<Workshop> change;
        private final Instant at;

        Change(String expected, Optional<Aspect> aspect, Consumer<Workshop> change, Instant at) {
            this.expected = expected;
            this.aspect = aspect;
            this.change = change;
            this.at = at;
        }

        Change(String expected, Consumer<Workshop> change) {
            this(expected, Optional.empty(), change, Shop.MORNING);
        }

        Change(Aspect aspect, Consumer<Workshop> change) {
            this(ruled(aspect), Optional.of(aspect), change, Shop.MORNING);
        }

        Change(Aspect aspect, Instant at) {
            this(ruled(aspect), Optional.of(aspect), s -> {}, at);
        }

        private static String ruled(Aspect aspect) {
            return Arrays.stream(Station.values())
                    .map(station -> station.rule().outdatedBy(aspect) ? "S" : "F")
                    .collect(Collectors.joining());
        }

        private static Consumer<Workshop> setup(UnaryOperator<Setup> change) {
            return shop -> shop.season().changeSetup(change);
        }
    }

    private static void measure(Workshop shop, Constant constant, double value) {
        shop.season()
                .changes()
                .measured(
                        List.of(new Fact(
                                constant,
                                new Measured(value, 0.002 * value, 5),
                                List.of(),
                                shop.season().basisNow())),
                        s -> s);
    }

    private static void recapture(Workshop shop, double brighter) {
        Instant at = shop.season().now().plusSeconds(1);
        shop.season()
                .addCaptures(List.of(
                        Shop.capture(Capture.DARK, at, 200, 200, shop),
                        Shop.capture(Capture.LIGHT, at, 700 + brighter, 700 + brighter, shop)));
    }

    /** A season in which everything has been done and nothing is guessed. */
    @BeforeEach
    void allFresh() throws Exception {
        shop.season().club().goTo("Home");
        shop.season().changeConditions(c -> c.withBatteryV(8.0).withWheels("soft"));
        List<Fact> facts = new ArrayList<>();
        for (Constant constant : Constant.values()) {
            double value = constant == Constant.DEAD_ZONE
                    ? 2
                    : constant.of(shop.season().setupOrGuess());
            facts.add(new Fact(
                    constant,
                    new Measured(value, 0.002 * value, 5),
                    List.of(),
                    shop.season().basisNow()));
        }
        shop.season().changes().measured(facts, s -> s);
        shop.season()
                .addCaptures(List.of(
                        Shop.capture(Capture.DARK, clock.now, 200, 200, shop),
                        Shop.capture(Capture.LIGHT, clock.now, 700, 700, shop)));
        shop.levels().useOnRobot();
        shop.season().club().additions().addTable(Draft.of(DemoCourses.workshopLoop()));
        shop.table().choose(0);
        shop.gains().choice().choose(0.3, 0, 0.9);
        shop.drive().run();
        shop.runs().log().log(true, new QuickLog.Typed("21", "", "", "", "", ""));
        shop.handover().program().handOver();
    }

    private String marks() {
        StringBuilder marks = new StringBuilder();
        for (Station station : Station.values()) {
            Mark mark = shop.station(station).freshnessProperty().get().mark();
            marks.append(mark.name().charAt(0));
        }
        return marks.toString();
    }

    @ParameterizedTest
    @EnumSource(Change.class)
    void aChangeMakesStaleWhatRestsOnItAndUndoBringsItBack(Change change) {
        assertThat(marks()).as("before").isEqualTo(Change.NOTHING.expected);
        int steps = shop.season().ledger().undoable().size();
        String hand = shop.season().selection().get().toString();
        change.change.accept(shop);
        clock.now = change.at;
        shop.minute();
        assertThat(marks()).isEqualTo(change.expected);
        for (Station station : Station.values()) {
            var freshness = shop.station(station).freshnessProperty().get();
            if (freshness.mark() == Mark.STALE) {
                assertThat(freshness.reason()).as("reason at " + station).isNotBlank();
                assertThat(station == Station.RUNS || freshness.repair().isPresent())
                        .as("repair at " + station)
                        .isTrue();
            }
        }
        if (change == Change.AGE) {
            return; // time does not go back, see SteadyClock
        }
        while (shop.season().ledger().undoable().size() > steps) {
            shop.undo();
        }
        shop.minute();
        if (shop.season().selection().get().toString().equals(hand)) {
            boolean putAway = change == Change.OTHER_TABLE; // what was driven is, when another table is laid
            assertThat(marks()).as("undone").isEqualTo(putAway ? "FFFFFMFF" : Change.NOTHING.expected);
        }
    }

    /** A changed line is more than its aspect, see TABLE_CHANGED: it is unfinished, too. */
    @Test
    void everyAspectIsTried() {
        assertThat(Arrays.stream(Change.values()).flatMap(c -> c.aspect.stream()))
                .containsAll(EnumSet.complementOf(EnumSet.of(Aspect.TABLE)));
    }

    /** The document's table is the rules, row by row. */
    @Test
    void theDocumentSaysWhatTheRulesAre() throws Exception {
        String rows =
                Arrays.stream(Aspect.values()).map(FreshnessMatrixTest::row).collect(Collectors.joining("\n"));
        String header = Arrays.stream(Station.values()).map(Station::title).collect(Collectors.joining(" | "));
        assertThat(Files.readString(Path.of("../docs/freshness.md")))
                .contains("| what changed | " + header + " |\n" + "| --- ".repeat(9) + "|\n" + rows + "\n");
    }

    private static String row(Aspect aspect) {
        return "| " + aspect.word() + " | "
                + Arrays.stream(Station.values())
                        .map(station -> mark(station.rule(), aspect))
                        .collect(Collectors.joining(" | "))
                + " |";
    }

    private static String mark(FreshnessRule rule, Aspect aspect) {
        return rule.minds().contains(aspect) ? "itself" : rule.outdatedBy(aspect) ? "through" : "";
    }

    /** One run or many: the newest of them is what counts, as soon as it is there. */
    @Test
    void manyRunsMakeDriveFreshAsOneDoes() {
        shop.gains().choice().choose(0.25, 0, 0.9);
        assertThat(marks()).isEqualTo(Change.GAINS.expected);
        shop.drive().runMany();
        assertThat(mark(Station.DRIVE)).as("many, after one that is stale").isEqualTo(Mark.FRESH);
        shop.gains().choice().choose(0.26, 0, 0.9);
        assertThat(mark(Station.DRIVE)).isEqualTo(Mark.STALE);
        shop.drive().run();
        assertThat(mark(Station.DRIVE)).as("one, after many that are stale").isEqualTo(Mark.FRESH);
    }

    private Mark mark(Station station) {
        return shop.station(station).freshnessProperty().get().mark();
    }

    @Test
    void whatIsOnlyKnownBetterIsSaid() {
        measure(shop, Constant.FREE_SPEED, 501.2);
        assertThat(shop.gains().freshnessProperty().get().reason())
                .isEqualTo("free speed measured better since; nothing changes here");
        assertThat(shop.runs().freshnessProperty().get().reason()).contains("measured better");
    }

    @Test
    void aLevelKnowsItsCapturesAndWhatBecameOfThem() {
        List<String> used =
                shop.season().changes().levelsFrom().kept().orElseThrow().captures();
        assertThat(used)
                .containsExactlyElementsOf(
                        shop.season().captures().stream().map(Capture::id).toList());
        recapture(shop, 0);
        assertThat(shop.levels().freshnessProperty().get().reason())
                .isEqualTo("captured again since, with the same result");
        recapture(shop, 60);
        assertThat(shop.levels().freshnessProperty().get().reason())
                .isEqualTo("sensor left captured again since: 200 on dark, 700 on light on the robot, captured 200 on"
                        + " dark, 760 on light");
        shop.levels().useOnRobot();
        assertThat(shop.levels().freshnessProperty().get().reason()).isEmpty();
        shop.season()
                .changeSetup(s -> s.withRobot(
                        s.robot().withSensor(0, s.robot().sensors().get(0).withSurfaces(200, 640, 3))));
        assertThat(shop.levels().freshnessProperty().get().reason())
                .startsWith("sensor left changed since its level was used: 200 on dark, 640 on light");
        shop.undo();
        shop.undo();
        assertThat(shop.season().changes().levelsFrom().kept().orElseThrow().captures())
                .as("undo brings back what the levels rested on")
                .isEqualTo(used);
    }

    @Test
    void everyRepairDoesOrShowsWhatItSays() {
        shop.season().changeSetup(s -> s.withLaw(s.law().withBaseCommand(30)));
        shop.gains().freshnessProperty().get().repair().orElseThrow().act().run();
        assertThat(shop.gains().freshnessProperty().get().mark()).isEqualTo(Mark.FRESH);
        shop.drive().freshnessProperty().get().repair().orElseThrow().act().run();
        assertThat(shop.drive().freshnessProperty().get().mark()).isEqualTo(Mark.FRESH);
        recapture(shop, 60);
        shop.levels().freshnessProperty().get().repair().orElseThrow().act().run();
        assertThat(shop.levels().freshnessProperty().get().mark()).isEqualTo(Mark.FRESH);
        shop.season().changeSetup(s -> s.withLine(new Line(20, s.line().polarity(), 220)));
        shop.table().freshnessProperty().get().repair().orElseThrow().act().run();
        assertThat(shop.table().freshnessProperty().get().mark()).isEqualTo(Mark.FRESH);
        shop.season().changeConditions(c -> c.withBatteryV(7.2));
        shop.robot().freshnessProperty().get().repair().orElseThrow().act().run();
        assertThat(shop.robot().pageProperty().get()).isEqualTo("Bench");
        shop.season().changeConditions(c -> c.withLamp(Lamp.OFF));
        shop.measure().freshnessProperty().get().repair().orElseThrow().act().run();
        assertThat(shop.season().conditionsProperty().get().lamp()).isEqualTo(Lamp.ON);
    }
}
