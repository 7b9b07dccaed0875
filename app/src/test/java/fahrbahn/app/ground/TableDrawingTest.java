package fahrbahn.app.ground;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.app.club.RobotKind;
import fahrbahn.core.path.Pose;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import fahrbahn.pen.Pen;
import fahrbahn.pen.PlacedPen;
import fahrbahn.pen.RecordingPen;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Tables and robots drawn by a pen that remembers: everything lies where it is, to scale, y upwards. */
class TableDrawingTest {
    private static final double[] NOTHING = {0, 0, 0, 0};
    private static final Setup PAIR = RobotKind.PAIR.setup("Wren");

    private static TableScale scale() {
        return TableScale.fitting(2400, 1200, NOTHING, 1212, 700, 6);
    }

    @Test
    void aTableFillsTheRoomAndLiesInItsMiddle() {
        TableScale at = scale();
        assertThat(at.pxPerMm()).as("the width is what binds").isCloseTo(0.5, within(1e-12));
        assertThat(at.px(0)).isCloseTo(6, within(1e-9));
        assertThat(at.px(2400)).isCloseTo(1206, within(1e-9));
        assertThat(at.py(0)).as("as much above as below").isCloseTo(650, within(1e-9));
        assertThat(at.py(1200)).isCloseTo(50, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({"0, 0", "2400, 1200", "317.5, 42", "-90, 1300"})
    void whatIsPointedAtIsWhereItIsDrawn(double xMm, double yMm) {
        TableScale at = TableScale.fitting(2400, 1200, new double[] {100, 0, 40, 120}, 903, 611, 6);
        assertThat(at.xMm(at.px(xMm))).isCloseTo(xMm, within(1e-9));
        assertThat(at.yMm(at.py(yMm))).isCloseTo(yMm, within(1e-9));
        assertThat(at.px(-100)).as("what lies beyond has room").isGreaterThanOrEqualTo(6 - 1e-9);
        assertThat(at.py(1320)).isGreaterThanOrEqualTo(6 - 1e-9);
    }

    @Test
    void aRoomWithoutSizeBreaksNothing() {
        assertThat(TableScale.fitting(2400, 1200, NOTHING, 0, 0, 6).pxPerMm()).isPositive();
    }

    @Test
    void aStraightOfTheCourseIsAsWideAsItsLine() {
        TablePainter painter = new TablePainter();
        painter.lay(Draft.of(DemoCourses.workshopLoop()), 20);
        RecordingPen pen = new RecordingPen();
        painter.paint(pen, scale());
        List<RecordingPen.Mark> areas = pen.of("area", "ink-line");
        assertThat(areas).isNotEmpty();
        RecordingPen.Mark first = areas.get(0);
        double least = Arrays.stream(first.y()).min().orElseThrow();
        double most = Arrays.stream(first.y()).max().orElseThrow();
        // A millimetre of it is the rim, drawn round.
        assertThat(most - least).as("19 of 20 mm at half a pixel a millimetre").isCloseTo(9.5, within(0.05));
        assertThat((most + least) / 2).as("on its middle line, 200 mm up").isCloseTo(scale().py(200), within(0.05));
        assertThat(pen.of("line", "ink-line")).as("a rim each").hasSameSizeAs(areas);
        assertThat(pen.marks.get(0).ink()).as("the table lies below").isEqualTo("ink-table");
    }

    @Test
    void aPainterDrawsTheSameAgainAndAnotherCourseAnew() {
        TablePainter painter = new TablePainter();
        painter.lay(Draft.of(DemoCourses.workshopLoop()), 20);
        RecordingPen once = new RecordingPen();
        RecordingPen again = new RecordingPen();
        painter.paint(once, scale());
        painter.paint(again, scale());
        assertThat(again.marks).hasSameSizeAs(once.marks);
        assertThat(again.marks.get(5).x()).containsExactly(once.marks.get(5).x());
        RecordingPen smaller = new RecordingPen();
        painter.paint(smaller, TableScale.fitting(2400, 1200, NOTHING, 612, 700, 6));
        assertThat(smaller.marks.get(5).x()).isNotEqualTo(once.marks.get(5).x());
        painter.lay(Draft.of(DemoCourses.rescue()), 20);
        RecordingPen other = new RecordingPen();
        painter.paint(other, scale());
        assertThat(other.of("area", "ink-stop")).as("its stop strip").isNotEmpty();
    }

    /** Looked at closely only what reaches into the view is drawn, and all of that. */
    @Test
    void whatLiesBesideTheViewIsLeftOut() {
        TablePainter painter = new TablePainter();
        painter.lay(Draft.of(DemoCourses.workshopLoop()), 20);
        TableScale close = scale().closer(6, 1200, 200, 150, 100);
        RecordingPen all = new RecordingPen();
        RecordingPen seen = new RecordingPen();
        painter.paint(all, close);
        painter.paint(seen, close, 300, 200);
        long reachIn = all.of("area", "ink-line").stream()
                .filter(m -> reachesIn(m, 300, 200))
                .count();
        assertThat(reachIn).isPositive();
        assertThat(seen.of("area", "ink-line"))
                .hasSizeBetween((int) reachIn, all.of("area", "ink-line").size() - 1);
        assertThat(seen.of("area", "ink-line").stream().filter(m -> reachesIn(m, 300, 200)))
                .hasSize((int) reachIn);
    }

    private static boolean reachesIn(RecordingPen.Mark mark, double width, double height) {
        return Arrays.stream(mark.x()).max().orElseThrow() >= 0
                && Arrays.stream(mark.x()).min().orElseThrow() <= width
                && Arrays.stream(mark.y()).max().orElseThrow() >= 0
                && Arrays.stream(mark.y()).min().orElseThrow() <= height;
    }

    @Test
    void aRobotPointsWhereItGoesAndItsSensorsLieAhead() {
        TableScale at = scale();
        Pose east = new Pose(500, 300, 0);
        RecordingPen pen = new RecordingPen();
        RobotMark.draw(pen, at, east, PAIR);
        List<RecordingPen.Mark> spots = pen.of("dot", "ink-spot");
        assertThat(spots).hasSize(2);
        double lead = PAIR.leadMm();
        double half = PAIR.robot().sensors().get(0).leftMm();
        assertThat(spots.get(0).x()[0]).isCloseTo(at.px(500 + lead), within(1e-9));
        assertThat(spots.get(0).y()[0]).as("the left one, left of the way").isCloseTo(at.py(300 + half), within(1e-9));
        assertThat(spots.get(1).y()[0]).isCloseTo(at.py(300 - half), within(1e-9));
        RecordingPen.Mark axle = pen.of("line", "ink-stop").get(1);
        double track = PAIR.robot().drive().trackWidthMm();
        assertThat(Math.abs(axle.y()[1] - axle.y()[0]))
                .as("as wide as its track")
                .isCloseTo(track / 2, within(1e-9));
    }

    @Test
    void turnedToTheLeftItPointsUp() {
        TableScale at = scale();
        RecordingPen pen = new RecordingPen();
        RobotMark.draw(pen, at, new Pose(500, 300, Math.PI / 2), PAIR);
        RecordingPen.Mark left = pen.of("dot", "ink-spot").get(0);
        assertThat(left.y()[0]).isCloseTo(at.py(300 + PAIR.leadMm()), within(1e-9));
        assertThat(left.x()[0])
                .isCloseTo(at.px(500 - PAIR.robot().sensors().get(0).leftMm()), within(1e-9));
    }

    @Test
    void aPlacedPenTurnsAboutItsPlace() {
        RecordingPen pen = new RecordingPen();
        Pen placed = new PlacedPen(pen, 100, 50, Math.PI / 2);
        placed.line(new Pen.Stroke("ink-text", 1), 0, 0, 10, 0);
        RecordingPen.Mark line = pen.marks.get(0);
        assertThat(line.x()[1]).as("a quarter turn counter-clockwise").isCloseTo(100, within(1e-9));
        assertThat(line.y()[1]).as("as seen, y downwards").isCloseTo(40, within(1e-9));
        Pen shifted = PlacedPen.at(pen, 7, 9);
        shifted.text("ink-text", "word", 1, 2);
        assertThat(pen.marks.get(1).x()).containsExactly(8);
        assertThat(pen.marks.get(1).y()).containsExactly(11);
    }

    @Test
    void ringsAndRoundedFramesAreClosedAndOfTheirSize() {
        RecordingPen pen = new RecordingPen();
        pen.ring(new Pen.Stroke("ink-text", 1), 10, 20, 5);
        pen.roundedFrame(new Pen.Stroke("ink-text", 1), 0, 0, 40, 30, 6);
        RecordingPen.Mark ring = pen.marks.get(0);
        for (int i = 0; i < ring.x().length; i++) {
            assertThat(Math.hypot(ring.x()[i] - 10, ring.y()[i] - 20)).isCloseTo(5, within(1e-9));
        }
        for (RecordingPen.Mark mark : pen.marks) {
            int last = mark.x().length - 1;
            assertThat(mark.x()[last]).isCloseTo(mark.x()[0], within(1e-9));
            assertThat(mark.y()[last]).isCloseTo(mark.y()[0], within(1e-9));
        }
        RecordingPen.Mark frame = pen.marks.get(1);
        assertThat(Arrays.stream(frame.x()).max().orElseThrow()).isCloseTo(40, within(1e-9));
        assertThat(Arrays.stream(frame.y()).max().orElseThrow()).isCloseTo(30, within(1e-9));
        for (int i = 0; i < frame.x().length; i++) {
            boolean inCorner = frame.x()[i] < 1 && frame.y()[i] < 1;
            assertThat(inCorner).as("its corners are rounded").isFalse();
        }
    }
}
