package fahrbahn.app.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.app.InWindow;
import fahrbahn.app.freshness.Freshness;
import fahrbahn.app.freshness.Station;
import fahrbahn.core.mat.MatSheet;
import fahrbahn.core.mat.Traced;
import fahrbahn.core.mat.TracedMat;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.Pose;
import fahrbahn.core.sensing.Lookout;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import fahrbahn.store.exchange.CourseSvg;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The Table station in a real window: a course laid by keys and mouse, a mat imported, a robot put on either. */
class TableStationTest extends InWindow {
    @BeforeEach
    void there() throws Exception {
        go(Station.TABLE);
    }

    private Draft draft() {
        return shop().table().draftProperty().get();
    }

    private int parts() {
        return draft().parts().size();
    }

    @Test
    void aCourseIsLaidByKeysClosedDrivenAndUndone() throws Exception {
        robot.type(KeyCode.Z);
        until("an empty table", () -> parts() == 0);
        assertThat(text("verdict")).contains("empty table");
        robot.type(KeyCode.S, KeyCode.S, KeyCode.B, KeyCode.S);
        until("four parts", () -> parts() == 4);
        robot.type(KeyCode.RIGHT, KeyCode.RIGHT);
        until("the last two steps longer", () -> draft().parts().get(3).lengthMm() == 320);
        robot.type(KeyCode.DOWN).type(KeyCode.M);
        until("the bend turned over", () -> draft().parts().get(2) instanceof Part.Bend b && b.angleRad() < 0);
        robot.type(KeyCode.M);
        until("and back", () -> draft().parts().get(2) instanceof Part.Bend b && b.angleRad() > 0);
        assertThat(text("courseFigures")).contains("1.23 m along", "tightest 200 mm", "Not a loop");
        robot.type(KeyCode.H);
        until("closed", () -> draft().closed());
        assertThat(draft().problem()).isEmpty();
        until("judged", () -> mark(Station.TABLE) == Freshness.Mark.FRESH);
        robot.type(KeyCode.U);
        until(
                "the robot is set up for it",
                () -> shop().season().setupOrGuess().line().tightestRadiusMm() == 200);
        assertThat(shop().drive().courses().get(0).ground()).isEqualTo(draft().course());
        undo();
        undo();
        until("open again", () -> !draft().closed() && parts() == 4);
        robot.type(KeyCode.DELETE);
        until("the part in hand removed", () -> parts() == 3);
    }

    @Test
    void aPartIsTakenInHandAndPulledWithTheMouse() throws Exception {
        onWindow(() -> {
            shop().table()
                    .begin(new Draft(
                            "Mouse",
                            2000,
                            1200,
                            new fahrbahn.core.path.Pose(300, 600, 0),
                            List.of(new Part.Straight(500), new Part.Bend(200, Math.PI / 2)),
                            false,
                            fahrbahn.core.raster.Palette.USUAL));
            return null;
        });
        robot.clickOn(point(450, 600));
        until("the straight is in hand", () -> shop().table().chosenProperty().get() == 0);
        drag(point(800, 600), point(1000, 600));
        until("it is longer", () -> draft().parts().get(0).lengthMm() > 650);
        assertThat(draft().parts().get(0).lengthMm()).isCloseTo(700, within(20.0));
        drag(point(300, 600), point(300, 400));
        until("the whole has moved", () -> draft().start().yMm() < 450);
        undo();
        undo();
        until(
                "both put back",
                () -> draft().parts().get(0).lengthMm() == 500
                        && draft().start().yMm() == 600);
        type("startHeading", "90");
        until("turned", () -> Math.abs(draft().start().headingRad() - Math.PI / 2) < 1e-9);
    }

    private void drag(Point2D from, Point2D to) {
        robot.dragBy(from, to.getX() - from.getX(), to.getY() - from.getY());
    }

    private Point2D point(double xMm, double yMm) throws Exception {
        settled();
        return onWindow(() ->
                new fahrbahn.app.table.TablePlaces(robot.lookup("#courseEditor").query()).onScreen(xMm, yMm));
    }

    @Test
    void aCourseIsSavedAndOpenedAsJsonAndAsADrawing() throws Exception {
        for (String name : List.of("mine.json", "mine.svg")) {
            Path file = home.resolve(name);
            onWindow(() -> {
                shop().table().begin(Draft.of(DemoCourses.mission()));
                shop().table().save(file);
                return null;
            });
            until("saved", () -> Files.exists(file) && text("notice").contains("Saved as " + name));
            onWindow(() -> {
                shop().table().clear();
                shop().table().open(file);
                return null;
            });
            until("opened", () -> draft().name().startsWith("Harbour errand"));
            assertThat(parts()).isEqualTo(DemoCourses.mission().parts().size());
        }
        Path broken = Files.writeString(home.resolve("broken.json"), "{\"format\": \"fahrbahn-course\"}");
        onWindow(() -> {
            shop().table().open(broken);
            return null;
        });
        until("told", () -> text("notice").contains("broken.json"));
    }

    /** The bench robot stands where it is put, and drives from the start with the law in hand. */
    @Test
    void theBenchRobotIsPutOnTheTableAndDrivesAlongIt() throws Exception {
        page("read");
        robot.type(KeyCode.B);
        until("told that there is none", () -> text("notice").startsWith("No bench robot is connected."));
        robot.clickOn("#connectBench");
        until("it is there", () -> shop().live().statusProperty().get().simulated());
        robot.clickOn("#lookCanvas").type(KeyCode.UP).type(KeyCode.B);
        Pose wanted = shop().table().look().poseProperty().get();
        until(
                "it stands there",
                () -> shop().live()
                        .benchRobot()
                        .pose()
                        .filter(p -> Math.hypot(p.xMm() - wanted.xMm(), p.yMm() - wanted.yMm()) < 0.1)
                        .isPresent());
        robot.clickOn("#benchDrive");
        until(
                "it comes along",
                () -> shop().table()
                        .look()
                        .benchPose()
                        .filter(p -> Math.hypot(p.xMm() - wanted.xMm(), p.yMm() - wanted.yMm()) > 100)
                        .isPresent());
        robot.clickOn("#benchHalt");
        Pose[] place = new Pose[1];
        long[] since = new long[1];
        until("it stands for twenty readings", () -> {
            Pose now = shop().live().benchRobot().pose().orElseThrow();
            long readings = shop().live().statusProperty().get().readings();
            since[0] = now.equals(place[0]) ? since[0] : readings;
            place[0] = now;
            return readings - since[0] >= 20;
        });
    }

    private void openMat(Path file) throws Exception {
        page("mat");
        onWindow(() -> {
            shop().table().mat().open(file);
            return null;
        });
        until("the mat is there", () -> shop().table().mat().picture().get().isPresent());
    }

    @Test
    void aMatIsImportedItsLineFollowedAndARobotPutOnIt() throws Exception {
        Path file = Files.writeString(
                home.resolve("mat.svg"), CourseSvg.write(Draft.of(DemoCourses.workshopLoop()), 20, true));
        openMat(file);
        assertThat(text("matWidth")).isEqualTo("2400");
        robot.clickOn(matPoint(900, 200)).clickOn(matPoint(900, 320)).clickOn(matPoint(900, 200));
        until("followed", () -> traced().isPresent());
        settled(); // followed again from the place pointed at last, it is the same line to some tenths
        Traced traced = traced().get();
        assertThat(traced.closed()).isTrue();
        assertThat(traced.tightestRadiusMm()).isCloseTo(150, within(7.5));
        assertThat(text("matFound")).contains("A closed line of 5", "tightest bend");
        robot.type(KeyCode.U);
        until("used", () -> Math.abs(shop().season().setupOrGuess().line().tightestRadiusMm() - 150) < 8);

        assertThat(text("verdict")).startsWith("mat: A closed line of 5");
        until("judged", () -> mark(Station.TABLE) == Freshness.Mark.FRESH);

        page("read");
        until("the mat is painted", () -> shop().table().look().lookout().get().isPresent());
        double onMat = reading("left");
        Lookout onCourse =
                Lookout.on(DemoCourses.workshopLoop(), shop().season().setupOrGuess());
        assertThat(onMat)
                .as("astride the same line")
                .isCloseTo(
                        onCourse.readings(shop().table().look().poseProperty().get())[0], within(60.0));
        robot.type(KeyCode.LEFT, KeyCode.LEFT, KeyCode.LEFT, KeyCode.LEFT, KeyCode.LEFT, KeyCode.LEFT);
        until(
                "turned away, one sees line and the other ground",
                () -> Math.abs(reading("left") - reading("right")) > 200);
    }

    private Optional<Traced> traced() {
        return shop().season().mat().kept().flatMap(MatSheet::traced);
    }

    @Test
    void aMatIsPointedAtByKeysRiddenByTheTwinAndUndone() throws Exception {
        Path file = Files.writeString(
                home.resolve("ferry.svg"), CourseSvg.write(Draft.of(DemoCourses.mission()), 20, true));
        openMat(file);
        robot.clickOn(matPoint(300, 218)); // a pixel or two beside the middle
        until("line", () -> shop().season().mat().kept().orElseThrow().lineRgb().isPresent());
        robot.press(KeyCode.SHIFT).type(KeyCode.UP, KeyCode.UP, KeyCode.UP).release(KeyCode.SHIFT);
        robot.type(KeyCode.ENTER);
        until(
                "ground",
                () -> shop().season().mat().kept().orElseThrow().groundRgb().isPresent());
        robot.press(KeyCode.SHIFT)
                .type(KeyCode.DOWN, KeyCode.DOWN, KeyCode.DOWN)
                .release(KeyCode.SHIFT);
        robot.type(KeyCode.P);
        until("followed", () -> traced().isPresent());
        assertThat(traced().get().widthMm()).isCloseTo(20, within(0.4));

        go(Station.DRIVE);
        until(
                "the twin stands on it",
                () -> shop().drive().laidProperty().get().orElseThrow().ground() instanceof TracedMat);
        robot.type(KeyCode.SPACE);
        until("it has run", () -> shop().drive().canKeep());
        assertThat(shop().drive().driveProperty().get().orElseThrow().result().sMm())
                .isGreaterThan(300);
        undo();
        until("the line is forgotten", () -> traced().isEmpty());
    }

    private double reading(String sensor) {
        return Double.parseDouble(text("look-" + sensor));
    }

    private Point2D matPoint(double xMm, double yMm) throws Exception {
        settled();
        return onWindow(() ->
                new fahrbahn.app.table.TablePlaces(robot.lookup("#matCanvas").query()).onScreen(xMm, yMm));
    }
}
