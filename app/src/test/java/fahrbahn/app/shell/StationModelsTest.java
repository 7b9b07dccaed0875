package fahrbahn.app.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.app.InShop;
import fahrbahn.app.drive.DriveModel;
import fahrbahn.app.drive.run.SensorState;
import fahrbahn.app.freshness.Freshness;
import fahrbahn.app.freshness.Station;
import fahrbahn.app.robot.RobotInsight;
import fahrbahn.app.robot.bench.BenchCard;
import fahrbahn.app.robot.bench.BenchModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.table.TableModel;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.HiddenRobot;
import fahrbahn.core.knowledge.Knowledge;
import fahrbahn.core.knowledge.SensorPreset;
import fahrbahn.core.measuring.Measured;
import fahrbahn.core.path.Part;
import fahrbahn.core.practice.SlideShowing;
import fahrbahn.core.sensing.SensorFault;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Robot, Table and the facts of a season without a window: everything runs at once, on the thread of the test. */
class StationModelsTest extends InShop {
    private Setup setup() {
        return shop.season().setupOrGuess();
    }

    private Knowledge state(Constant constant) {
        return shop.robot().constants().get().orElseThrow().stream()
                .filter(s -> s.constant() == constant)
                .findFirst()
                .orElseThrow();
    }

    /** Without a link: places along a ruler and what the display shows there. */
    @Test
    void aSlideIsTypedAndPutOnTheRobot() {
        Setup guess = shop.season().setupOrGuess();
        Setup real = HiddenRobot.of(guess, new Random(21));
        SlideShowing ruler = new SlideShowing(real, 2);
        BenchModel bench = shop.robot().bench();
        for (double at = 0; at <= ruler.endMm(); at += 2) {
            String shown = ruler.readings(at).stream().map(String::valueOf).collect(Collectors.joining(" "));
            bench.add(BenchCard.SLIDE, bench.row(BenchCard.SLIDE, List.of(String.valueOf(at), shown)));
            if (at < 20) {
                assertThat(bench.result(BenchCard.SLIDE).orElseThrow().words()).contains("at least 15");
            }
        }
        BenchCard.Result result = bench.result(BenchCard.SLIDE).orElseThrow();
        Measured spot = result.found().get(Constant.SPOT);
        assertThat(Math.abs(spot.value() - Constant.SPOT.of(real))).isLessThan(1.5 * spot.plusMinus());
        bench.use(BenchCard.SLIDE);
        Sensor left = shop.season().setupOrGuess().robot().sensors().get(0);
        assertThat(left.light()).isCloseTo(real.robot().sensors().get(0).light(), within(4.0));
        assertThat(shop.season().facts()).containsKey(Constant.SPOT);
        assertThatThrownBy(() -> bench.add(BenchCard.SLIDE, bench.row(BenchCard.SLIDE, List.of("70", "512"))))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("one for each sensor");
    }

    @Test
    void aNewRobotIsAllGuessesTheCostliestFirst() {
        List<Knowledge> states = shop.robot().constants().get().orElseThrow();
        assertThat(states).hasSize(Constant.values().length);
        assertThat(states).allSatisfy(s -> assertThat(s.origin()).isEqualTo(Knowledge.Origin.GUESS));
        assertThat(states)
                .isSortedAccordingTo(
                        (a, b) -> Double.compare(b.cost().share(), a.cost().share()));
        shop.season().changeSetup(s -> s.withDrive(s.robot().drive().withLagS(0.031)));
        assertThat(state(Constant.LAG).origin()).isEqualTo(Knowledge.Origin.TYPED);
        assertThat(state(Constant.LAG).uncertainty())
                .as("a third of two fifths")
                .isCloseTo(0.031 * 0.4 / 3, within(1e-9));
    }

    @Test
    void loopsCountedBecomeAFactThatOutlivesTheProgram() throws Exception {
        shop.robot().bench().add(BenchCard.LOOPS, List.of(1250.0, 10.0));
        shop.robot().bench().add(BenchCard.LOOPS, List.of(1250.0, 10.0));
        shop.robot().bench().use(BenchCard.LOOPS);
        assertThat(setup().robot().loop().periodS()).isEqualTo(0.008);
        assertThat(state(Constant.LOOP_TIME).origin()).isEqualTo(Knowledge.Origin.MEASURED);
        assertThat(state(Constant.LOOP_TIME).uncertainty()).isLessThan(1e-4);
        reopen();
        assertThat(state(Constant.LOOP_TIME).origin()).isEqualTo(Knowledge.Origin.MEASURED);
        assertThat(shop.robot().bench().entries(BenchCard.LOOPS)).hasSize(2);
        AtomicReference<List<?>> history = new AtomicReference<>();
        shop.season().changes().facts().history(Constant.LOOP_TIME.word(), history::set);
        assertThat(history.get()).hasSize(1);
        shop.season().undo();
        assertThat(state(Constant.LOOP_TIME).origin()).isEqualTo(Knowledge.Origin.GUESS);
        assertThat(setup().robot().loop().periodS()).isEqualTo(0.01);
    }

    @Test
    void aLagIsStaleOnceTheLoopTakesLonger() {
        // At this period the clock finds a lag that the model takes: between the lead's and a quarter turn.
        shop.robot().bench().add(BenchCard.WIGGLES, List.of(30.0, 18.0));
        shop.robot().bench().use(BenchCard.WIGGLES);
        assertThat(state(Constant.LAG).origin()).isEqualTo(Knowledge.Origin.MEASURED);
        shop.season()
                .changeSetup(s -> s.withLoop(
                        new fahrbahn.core.setup.Loop(0.02, s.robot().loop().delayS())));
        Freshness robot = shop.robot().freshnessProperty().get();
        assertThat(robot.mark()).isEqualTo(Freshness.Mark.STALE);
        assertThat(robot.reason()).isEqualTo("motor lag: loop time (s) 0.01 to 0.02");
        assertThat(robot.repair().orElseThrow().words()).isEqualTo("measure the motor lag again: Wiggle timing");
        shop.season().undo();
        assertThat(shop.robot().freshnessProperty().get().mark())
                .as("holds again; other numbers are guesses still")
                .isEqualTo(Freshness.Mark.GUESS);
    }

    @Test
    void turnsOnTheSpotTellScrubAndLeaveTheRulerAlone() {
        double track = setup().robot().drive().trackWidthMm();
        double speed = setup().robot().drive().speedMmPerS(50);
        double scrubbed = 1.2 * track;
        double time = 10 * Math.PI * scrubbed / speed;
        shop.robot().bench().add(BenchCard.SPIN, List.of(50.0, 10.0, time));
        assertThat(shop.robot().bench().result(BenchCard.SPIN).orElseThrow().words())
                .contains("drag when turning");
        shop.robot().bench().use(BenchCard.SPIN);
        assertThat(setup().robot().drive().trackWidthMm()).isEqualTo(track);
        assertThat(setup().robot().drive().traits().scrub()).isCloseTo(1.2, within(1e-9));
        assertThatThrownBy(() -> shop.robot().bench().add(BenchCard.SPIN, List.of(-5.0, 10.0, 3.0)))
                .isInstanceOf(BadValueException.class);
        shop.robot().bench().add(BenchCard.SPIN, List.of(60.0, 10.0, time));
        assertThat(shop.robot().bench().result(BenchCard.SPIN).orElseThrow().words())
                .contains("the same in all of them");
    }

    @Test
    void gainsAndDriveGoStaleWithTheBattery() {
        shop.season().changeConditions(c -> c.withBatteryV(8.0).withWheels("soft"));
        shop.gains().choice().choose(0.3, 0, 0.5);
        shop.drive().run();
        assertThat(shop.gains().freshnessProperty().get().mark()).isEqualTo(Freshness.Mark.GUESS);
        assertThat(shop.drive().freshnessProperty().get().mark()).isEqualTo(Freshness.Mark.GUESS);
        shop.season().changeConditions(c -> c.withBatteryV(7.0).withWheels("hard"));
        assertThat(shop.gains().freshnessProperty().get().reason())
                .isEqualTo("the battery has 7 V and had 8, and 1 more");
        assertThat(shop.drive().freshnessProperty().get().reason()).startsWith("the wheels are hard");
        shop.season().changeConditions(c -> c.withWheels("soft"));
        assertThat(shop.drive().freshnessProperty().get().reason()).startsWith("with gains that are: the battery");
        assertThat(shop.drive().freshnessProperty().get().repair().orElseThrow().station())
                .isEqualTo(Station.GAINS);
    }

    @Test
    void aRowOfSensorsOfEachKindAndSizeFits() {
        for (int count : new int[] {1, 2, 3, 8, 16}) {
            shop.robot().useRow(SensorPreset.COLOUR, count);
            assertThat(setup().robot().sensors()).hasSize(count);
            assertThat(setup().law().signal().tracksEdge()).isEqualTo(count == 1);
            shop.robot().insight().show();
            RobotInsight insight = shop.robot().insight().get().orElseThrow();
            assertThat(insight.curveWords()).contains("Error is linear over");
            assertThat(insight.spacingWords()).contains("Turn marks are");
            assertThat(insight.leadWords()).contains("ahead");
            assertThat(insight.clearanceWords()).contains("bumps up to");
        }
        shop.robot().moveSensor(0, 60, -500);
        assertThat(shop.notices().shownProperty().get())
                .as("past its neighbours")
                .contains("listed from left to right");
    }

    @Test
    void aCourseIsToldWhatItLacksAndOfferedToTheTwinWhenDone() {
        TableModel table = shop.table();
        assertThat(table.freshnessProperty().get().mark()).isEqualTo(Freshness.Mark.MISSING);
        table.clear();
        table.add(new Part.Straight(900));
        table.add(new Part.Bend(250, Math.PI / 2));
        assertThat(table.freshnessProperty().get().mark()).isEqualTo(Freshness.Mark.FRESH);
        table.add(new Part.Straight(4000));
        assertThat(table.verdictProperty().get().tone()).isEqualTo(Verdict.Tone.CARE);
        assertThat(table.verdictProperty().get().sentence()).contains("off the table", "inside the table all along");
        assertThat(shop.drive().courses()).hasSize(4);
        table.remove();
        table.close(200);
        assertThat(table.draftProperty().get().closed()).isTrue();
        assertThat(shop.drive().courses()).hasSize(5);
        table.begin(Draft.of(DemoCourses.rescue()));
        Freshness tight = table.freshnessProperty().get();
        assertThat(tight.reason()).contains("bends of 150 mm, the line has 120 mm");
        table.useRadius();
        assertThat(setup().line().tightestRadiusMm()).isEqualTo(120);
        assertThat(table.freshnessProperty().get().mark()).isEqualTo(Freshness.Mark.FRESH);
    }

    @Test
    void whatCannotBeOpenedIsToldAndTheTableKeepsItsCourse() throws Exception {
        Draft before = shop.table().draftProperty().get();
        List<Path> bad = new ArrayList<>();
        bad.add(Files.writeString(folder.resolve("a.json"), "[]"));
        bad.add(Files.writeString(folder.resolve("a.svg"), "<svg"));
        bad.add(folder.resolve("nowhere.json"));
        for (Path file : bad) {
            shop.table().open(file);
            assertThat(shop.notices().shownProperty().get())
                    .contains(file.getFileName().toString());
        }
        shop.table().mat().open(Files.writeString(folder.resolve("b.pdf"), "%PDF-"));
        assertThat(shop.notices().shownProperty().get()).contains("b.pdf");
        assertThat(shop.table().mat().workingProperty().get()).isFalse();
        shop.table().mat().follow(10, 10);
        assertThat(shop.notices().shownProperty().get()).contains("Pick the line and the background");
        assertThat(shop.table().draftProperty().get()).isEqualTo(before);
    }

    /** A sensor fails in runs of the simulation: they are shown and not kept, and with the next choice it works again. */
    @Test
    void aFailedSensorIsTriedAndNotKept() {
        DriveModel drive = shop.drive();
        drive.choose(drive.courses().stream()
                .filter(c -> c.name().contains("sprint"))
                .findFirst()
                .orElse(drive.courses().get(drive.courses().size() - 1)));
        assertThat(SensorState.of(setup())).hasSize(1 + 3 * setup().lawSensors().size());
        drive.fail(Optional.of(new SensorFault(setup().lawSensors().get(0).name(), SensorFault.Kind.STUCK_ON_LINE)));
        drive.run();
        assertThat(drive.driveProperty().get().orElseThrow().result().completed())
                .isFalse();
        assertThat(drive.canKeep()).isFalse();
        assertThat(drive.shownBasis()).as("nothing rests on it").isEmpty();
        assertThat(drive.verdictProperty().get().sentence())
                .startsWith("With " + setup().lawSensors().get(0).name());
        drive.keep();
        assertThat(shop.season().runs()).isEmpty();
        drive.fail(Optional.empty());
        drive.run();
        assertThat(drive.canKeep()).isTrue();
    }
}
