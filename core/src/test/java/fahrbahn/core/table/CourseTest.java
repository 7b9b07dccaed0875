package fahrbahn.core.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Text;
import fahrbahn.core.colour.Channel;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.Path;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.Palette;
import fahrbahn.core.raster.Raster;
import fahrbahn.core.raster.SeenRaster;
import fahrbahn.core.raster.Surface;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Polarity;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class CourseTest {
    private static final Line DARK_LINE = new Line(20, Polarity.DARK_ON_LIGHT, 100);
    private static final Line LIGHT_LINE = new Line(20, Polarity.LIGHT_ON_DARK, 100);
    private static final double SIGMA = 3;

    private static Course open(Part... parts) {
        return new Course("test", 1000, 600, new Pose(100, 300, 0), List.of(parts), false);
    }

    private static double seen(Course course, Line line, double xMm, double yMm) {
        return SeenTable.of(course, line, Channel.ALL, SIGMA).at(xMm, yMm);
    }

    @Test
    void partsLeadWhereTheirGeometrySays() {
        assertThat(open(new Part.Bend(100, Math.PI / 2)).path().end()).satisfies(end -> {
            assertThat(end.xMm()).isCloseTo(200, within(1e-9));
            assertThat(end.yMm()).isCloseTo(400, within(1e-9));
            assertThat(end.headingRad()).isCloseTo(Math.PI / 2, within(1e-12));
        });
        Pose corner = open(new Part.RightAngle(Part.Turn.RIGHT, 80)).path().end();
        assertThat(corner.xMm()).isCloseTo(180, within(1e-9));
        assertThat(corner.yMm()).isCloseTo(220, within(1e-9));
        Pose swung = open(new Part.SwingOver(100, Math.PI / 3)).path().end();
        assertThat(swung.headingRad()).isCloseTo(0, within(1e-12));
        assertThat(swung.xMm() - 100).isCloseTo(200 * Math.sin(Math.PI / 3), within(1e-9));
        assertThat(swung.yMm() - 300).isCloseTo(100, within(1e-9));
        Pose crossed = open(new Part.Crossing(60, Part.Turn.LEFT, true)).path().end();
        assertThat(crossed.yMm()).isCloseTo(360, within(1e-9));
    }

    @Test
    void tapeIsCountedWithoutGapsAndWithTheArmsOfCrossings() {
        Path path = open(
                        new Part.Straight(100),
                        new Part.Gap(50),
                        new Part.Crossing(60, Part.Turn.STRAIGHT, false),
                        new Part.End(40))
                .path();
        assertThat(path.lengthMm()).isCloseTo(310, within(1e-9));
        assertThat(path.paintedMm()).isCloseTo(100 + 120 + 120, within(1e-9));
        assertThat(path.finishMm()).as("where the line ends").isCloseTo(270, within(1e-9));
    }

    @Test
    void cornersAreFilledAndCrossingsHaveFourArms() {
        Course corner = open(new Part.RightAngle(Part.Turn.LEFT, 150));
        // Middle of the corner, and the outer tip that two plain stretches would leave bare.
        assertThat(seen(corner, DARK_LINE, 250, 300)).isGreaterThan(0.95);
        assertThat(seen(corner, DARK_LINE, 257, 293)).isGreaterThan(0.5);
        assertThat(seen(corner, DARK_LINE, 280, 300)).isLessThan(0.01);
        Course crossing = open(new Part.Crossing(120, Part.Turn.RIGHT, false));
        double middle = 220;
        for (double[] arm : new double[][] {{60, 0}, {-60, 0}, {0, 60}, {0, -60}}) {
            assertThat(seen(crossing, DARK_LINE, middle + arm[0], 300 + arm[1])).isGreaterThan(0.99);
        }
    }

    @Test
    void gapsAndEndsAreBareGround() {
        Course course = open(new Part.Straight(200), new Part.Gap(100), new Part.Straight(100), new Part.End(150));
        assertThat(seen(course, DARK_LINE, 350, 300)).isZero();
        assertThat(seen(course, DARK_LINE, 450, 300)).isGreaterThan(0.99);
        assertThat(seen(course, DARK_LINE, 560, 300)).isZero();
    }

    /** Surfaces lie where their reflectance puts them between ground and line; a shiny strip lies beyond the ground. */
    @Test
    void marksAndStripsShowTheirSurfaceInEachChannelAndPolarity() {
        Palette palette = Palette.USUAL;
        Course course = open(
                new Part.Straight(100),
                new Part.Crossing(120, Part.Turn.LEFT, true),
                new Part.Straight(30),
                new Part.EntryStrip(60));
        // The mark stands before the middle on the side of the turn, clear of both lines.
        Pose middle = new Pose(320, 300, 0);
        Pose mark = middle.offset(-10 - 12.5, 10 + 12.5);
        for (Line line : List.of(DARK_LINE, LIGHT_LINE)) {
            for (Channel channel : Channel.values()) {
                double expected = palette.contrast(palette.mark(), line.polarity(), channel);
                SeenRaster raster = SeenTable.of(course, line, channel, SIGMA);
                // The mark is 25 mm wide: its middle is 4 sigma from its borders, but one touches the line, 12.5 mm
                // away.
                assertThat(raster.at(mark.xMm(), mark.yMm())).as(channel.word()).isCloseTo(expected, within(0.002));
            }
        }
        double strip = palette.contrast(palette.entry(), Polarity.DARK_ON_LIGHT, Channel.ALL);
        assertThat(strip).isNegative();
        assertThat(seen(course, DARK_LINE, 320, 300 + 120 + 60)).isCloseTo(strip, within(0.01));
        assertThat(palette.contrast(palette.light(), Polarity.DARK_ON_LIGHT, Channel.RED))
                .isZero();
        assertThat(palette.contrast(palette.dark(), Polarity.DARK_ON_LIGHT, Channel.RED))
                .isEqualTo(1);
    }

    @Test
    void rampsBumpsAndCreasesRaiseThePath() {
        double slope = 0.2;
        Relief relief = open(
                        new Part.Straight(100),
                        new Part.Ramp(200, slope),
                        new Part.Straight(50),
                        new Part.Bump(60, 6),
                        new Part.Ramp(200, -slope),
                        new Part.Straight(50))
                .relief();
        assertThat(relief.heightMm(100)).isZero();
        assertThat(relief.heightMm(300)).isCloseTo(200 * Math.sin(slope), within(1e-9));
        assertThat(relief.heightMm(380) - relief.heightMm(350))
                .as("top of the bump")
                .isCloseTo(6, within(1e-9));
        assertThat(relief.slope(200)).isCloseTo(Math.sin(slope), within(1e-12));
        assertThat(relief.heightMm(640)).isCloseTo(0, within(1e-9));
        // The slope is the derivative of the height.
        for (double s = 5; s < 650; s += 7) {
            double h = 1e-4;
            double rise = (relief.heightMm(s + h) - relief.heightMm(s - h)) / (2 * h);
            assertThat(relief.slope(s)).as("at %.0f mm", s).isCloseTo(rise, within(1e-5));
        }
        assertThat(open(new Part.Straight(100)).relief().flat()).isTrue();
    }

    static Stream<Course> demoCourses() {
        return DemoCourses.all().stream();
    }

    @ParameterizedTest
    @MethodSource("demoCourses")
    void demoCoursesStandClearOfTheTablesEdge(Course course) {
        Path path = course.path();
        for (double s = 0; s <= path.lengthMm(); s += 10) {
            Pose at = path.at(s);
            assertThat(at.xMm()).as("%s at %.0f mm", course.name(), s).isBetween(100.0, course.widthMm() - 100);
            assertThat(at.yMm()).isBetween(100.0, course.heightMm() - 100);
        }
        assertThat(path.tightestRadiusMm()).isGreaterThanOrEqualTo(120);
        assertThat(path.paintedMm()).isGreaterThan(0.8 * path.lengthMm());
    }

    @Test
    void theRescueCourseHasOneOfEachPartOfItsWork() {
        List<Class<? extends Part>> kinds = DemoCourses.rescue().parts().stream()
                .<Class<? extends Part>>map(Part::getClass)
                .distinct()
                .toList();
        assertThat(kinds)
                .contains(
                        Part.Gap.class,
                        Part.SwingOver.class,
                        Part.Bump.class,
                        Part.Crossing.class,
                        Part.RightAngle.class,
                        Part.Crease.class,
                        Part.Ramp.class,
                        Part.EntryStrip.class,
                        Part.StopStrip.class,
                        Part.End.class);
    }

    @Test
    void aLineTooNearItselfIsRefusedUnlessItCrosses() {
        Part[] hairpin = {new Part.Straight(300), new Part.Bend(15, Math.PI), new Part.Straight(250)};
        assertThatThrownBy(() -> open(hairpin))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("too near itself")
                .hasMessageContaining("at least 40 mm apart");
        Part[] loop = {
            new Part.Straight(200), new Part.Bend(90, 1.5 * Math.PI), new Part.Straight(180), new Part.Straight(50)
        };
        assertThatThrownBy(() -> open(loop)).hasMessageContaining("or a crossing");
        Part[] crossing = {
            new Part.Straight(90),
            new Part.Crossing(60, Part.Turn.STRAIGHT, false),
            new Part.Straight(30),
            new Part.Bend(90, 1.5 * Math.PI),
            new Part.Straight(30),
            new Part.Crossing(60, Part.Turn.STRAIGHT, false),
            new Part.Straight(50)
        };
        assertThat(open(crossing).path().lengthMm()).isGreaterThan(800);
    }

    @Test
    void everyPartRefusesWhatItCannotBe() {
        double[] bad = {Double.NaN, 0, -1, Double.POSITIVE_INFINITY};
        for (double value : bad) {
            for (Runnable maker : List.<Runnable>of(
                    () -> new Part.Straight(value),
                    () -> new Part.Gap(value),
                    () -> new Part.Bend(value, 1),
                    () -> new Part.SwingOver(value, 1),
                    () -> new Part.RightAngle(Part.Turn.LEFT, value),
                    () -> new Part.Crossing(value, Part.Turn.LEFT, false),
                    () -> new Part.Bump(value, 3),
                    () -> new Part.Ramp(value, 0.1),
                    () -> new Part.Crease(value, 1),
                    () -> new Part.EntryStrip(value),
                    () -> new Part.StopStrip(value),
                    () -> new Part.End(value))) {
                assertThatThrownBy(maker::run)
                        .isInstanceOf(BadValueException.class)
                        .hasMessageContaining("is " + Text.number(value));
            }
        }
        assertThatThrownBy(() -> new Part.RightAngle(Part.Turn.STRAIGHT, 50)).hasMessageContaining("left or right");
        assertThatThrownBy(() -> new Part.Bump(50, Double.NaN)).hasMessageContaining("heightMm is NaN");
        assertThatThrownBy(() -> new Part.Ramp(50, 1)).hasMessageContaining("slopeRad is 1");
        Pose middle = new Pose(300, 300, 0);
        List<Part> endless = List.of(new Part.Straight(1e308));
        assertThatThrownBy(() -> new Course("x", 1e308, 600, middle, endless, false))
                .hasMessageContaining("widthMm is 1.0E308");
        assertThatThrownBy(() -> new Course("x", 600, Double.NaN, middle, endless, false))
                .hasMessageContaining("heightMm is NaN");
        assertThatThrownBy(() -> new Course("x", 600, 600, middle, endless, false))
                .hasMessageContaining("mm of line together");
        assertThatThrownBy(() -> new Surface(-0.1, 0, 0)).hasMessageContaining("red is -0.1");
        Surface grey = Surface.grey(0.5);
        assertThatThrownBy(() -> new Palette(grey, grey, grey, grey, grey, grey))
                .hasMessageContaining("above that of dark");
    }

    @Test
    void tablesAreBlurredOnceForAll() {
        Course course = DemoCourses.mission();
        SeenRaster first = SeenTable.of(course, DARK_LINE, Channel.ALL, SIGMA);
        assertThat(SeenTable.of(DemoCourses.mission(), DARK_LINE, Channel.ALL, SIGMA))
                .isSameAs(first);
        assertThat(SeenTable.of(course, DARK_LINE, Channel.RED, SIGMA)).isNotSameAs(first);
        assertThat(SeenTable.of(course, DARK_LINE, Channel.ALL, 4)).isNotSameAs(first);
    }

    /** The cells of a line add up to its area, whatever the cell size and angle: paint is neither lost nor won. */
    @Test
    void aPaintedLineHasItsArea() {
        for (double angle : new double[] {0, 0.4, 1.1}) {
            Course course =
                    new Course("slanted", 500, 500, new Pose(80, 80, angle), List.of(new Part.Straight(250)), false);
            for (double cell : new double[] {0.5, 1}) {
                Raster sharp = Painter.painted(course, DARK_LINE, Channel.ALL, cell);
                double area = 0;
                for (int row = 0; row < sharp.rows(); row++) {
                    for (int column = 0; column < sharp.columns(); column++) {
                        area += sharp.cell(row * sharp.columns() + column) * cell * cell;
                    }
                }
                // Cells at the four corners are shared out by the product of two shares: up to a tenth of a cell each.
                assertThat(area).isCloseTo(250 * 20, within(0.4 * cell * cell + 0.01));
            }
        }
    }
}
