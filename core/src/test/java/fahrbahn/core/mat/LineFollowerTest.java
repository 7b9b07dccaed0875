package fahrbahn.core.mat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.colour.Channel;
import fahrbahn.core.job.CancelledException;
import fahrbahn.core.job.Job;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.Palette;
import fahrbahn.core.raster.Raster;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class LineFollowerTest {
    private static final double QUARTER = Math.PI / 2;
    private static final double WIDTH_MM = 20;
    private static final int LINE = 0x202428;
    private static final int GROUND = 0xd8d4c8;

    private static Raster painted(Course course) {
        return course.painted(new Line(WIDTH_MM, Polarity.DARK_ON_LIGHT, 100), Channel.ALL, 1)
                .blurred(1.2);
    }

    /** The course as a camera or a printer would have it: coloured, grainy, one pixel to the millimetre. */
    static Mat photographed(Course course, double grain) {
        Raster raster = painted(course);
        int columns = (int) course.widthMm();
        int rows = (int) course.heightMm();
        int[] rgb = new int[columns * rows];
        Random random = new Random(3);
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                double share = raster.at(column + 0.5, rows - row - 0.5);
                rgb[row * columns + column] = mix(share, grain * random.nextGaussian());
            }
        }
        return new Mat("photo", new Picture(columns, rows, rgb, 0), course.widthMm(), LINE, GROUND);
    }

    private static int mix(double share, double noise) {
        int mixed = 0;
        for (int shift = 16; shift >= 0; shift -= 8) {
            double ground = GROUND >> shift & 0xff;
            double line = LINE >> shift & 0xff;
            mixed |= (int) Math.max(0, Math.min(255, Math.round(ground + share * (line - ground) + noise))) << shift;
        }
        return mixed;
    }

    private static Course course(boolean closed, Part... parts) {
        return new Draft("t", 1800, 1400, new Pose(500, 250, 0), List.of(parts), closed, Palette.USUAL).course();
    }

    @Test
    void aClosedLoopIsFollowedAllRoundAndItsTightestBendMeasured() {
        Course loop = DemoCourses.workshopLoop();
        Traced traced = LineFollower.from(painted(loop), 900, 205, Job.UNWATCHED);
        assertThat(traced.closed()).isTrue();
        assertThat(traced.widthMm())
                .isCloseTo(WIDTH_MM, within(0.4)); // a spot of 1.2 mm rounds nothing off at half height
        assertThat(traced.lengthMm())
                .isCloseTo(loop.path().lengthMm(), within(0.01 * loop.path().lengthMm()));
        // The S of 150 mm joins two bends that turn opposite ways; a window at the joint sees a wider circle, none a
        // tighter.
        assertThat(traced.tightestRadiusMm()).isCloseTo(150, within(0.05 * 150));
        assertThat(traced.corners()).isEmpty();
        assertThat(traced.gapsMm()).isEmpty();
        List<Pose> middle = IntStream.range(0, (int) loop.path().lengthMm())
                .mapToObj(s -> loop.path().at(s))
                .toList();
        for (int i = 0; i < traced.points().size(); i += 25) {
            Pose point = traced.points().get(i);
            assertThat(nearest(middle, point)).as("off the middle at %s", point).isLessThan(1.5);
        }
    }

    private static double nearest(List<Pose> middle, Pose point) {
        return middle.stream()
                .mapToDouble(at -> Math.hypot(at.xMm() - point.xMm(), at.yMm() - point.yMm()))
                .min()
                .orElseThrow();
    }

    @Test
    void anOpenLineIsWholeWhereverItIsPointedAt() {
        Course open = course(
                false,
                new Part.Straight(300),
                new Part.Bend(180, QUARTER),
                new Part.Straight(200),
                new Part.Bend(220, QUARTER),
                new Part.Straight(300));
        for (double s : new double[] {20, 500, 1000}) {
            Pose at = open.path().at(s);
            Traced traced = LineFollower.from(painted(open), at.xMm(), at.yMm(), Job.UNWATCHED);
            assertThat(traced.closed()).isFalse();
            assertThat(traced.lengthMm()).isCloseTo(open.path().lengthMm(), within(WIDTH_MM));
            assertThat(traced.tightestRadiusMm()).isCloseTo(180, within(9.0));
        }
    }

    /** Ramps, creases, strips and a stop strip as dark as half the line: it is followed from end to end all the same. */
    @Test
    void aWholeRescueTableIsFollowedFromEitherEnd() {
        Course rescue = DemoCourses.rescue();
        double line = rescue.path().finishMm();
        for (double s : new double[] {40, line - 60}) {
            Pose at = rescue.path().at(s);
            Traced traced = LineFollower.from(painted(rescue), at.xMm(), at.yMm(), Job.UNWATCHED);
            assertThat(traced.closed()).isFalse();
            assertThat(traced.corners()).hasSize(2);
            // The rusty stop strip, half as dark as the line, may count as a line it crosses.
            assertThat(traced.crossings()).isBetween(1, 2);
            assertThat(traced.tightestRadiusMm()).isCloseTo(120, within(0.08 * 120));
            // The shiny strip and the crease are gaps to the eye; a width is lost at each end, or a strip of 40 mm won.
            assertThat(traced.lengthMm()).isCloseTo(line, within(2 * WIDTH_MM + 40));
        }
    }

    @Test
    void gapsCornersAndCrossingsAreToldApart() {
        Course course = course(
                false,
                new Part.Straight(250),
                new Part.Gap(70),
                new Part.Straight(200),
                new Part.Crossing(80, Part.Turn.STRAIGHT, false),
                new Part.RightAngle(Part.Turn.LEFT, 150),
                new Part.Straight(200),
                new Part.RightAngle(Part.Turn.LEFT, 150),
                new Part.Straight(150));
        Traced traced = LineFollower.from(painted(course), 560, 250, Job.UNWATCHED);
        assertThat(traced.gapsMm())
                .singleElement()
                .satisfies(gap -> assertThat(gap).isCloseTo(70, within(6.0)));
        assertThat(traced.crossings()).isEqualTo(1);
        assertThat(traced.corners()).hasSize(2);
        assertThat(traced.lengthMm()).isCloseTo(course.path().lengthMm(), within(2 * WIDTH_MM));
    }

    @Test
    void aGrainyPhotographGivesTheSame() {
        Course loop = DemoCourses.workshopLoop();
        Mat mat = photographed(loop, 12);
        Traced traced = LineFollower.from(mat.raster().blurred(1.5), 900, 200, Job.UNWATCHED);
        assertThat(traced.closed()).isTrue();
        assertThat(traced.tightestRadiusMm()).isCloseTo(150, within(0.08 * 150));
        assertThat(mat.heightMm()).isCloseTo(1200, within(1e-9));
        assertThat(Mat.colourAt(mat.picture(), 2400, 900, 200) & 0xff).isLessThan(0x60);
        assertThat(Mat.colourAt(mat.picture(), 2400, 900, 100) & 0xff).isGreaterThan(0xa0);
    }

    @Test
    void noLineNoContrastAndTooManyPixelsAreRefused() {
        Course loop = DemoCourses.workshopLoop();
        assertThatThrownBy(() -> LineFollower.from(painted(loop), 1200, 600, Job.UNWATCHED))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("within 40 mm");
        Picture dot = new Picture(1, 1, new int[1], 0);
        assertThatThrownBy(() -> new Mat("m", dot, 100, 0x808080, 0x858585)).hasMessageContaining("clearly different");
        assertThatThrownBy(() -> new Mat("m", dot, Double.NaN, 0, 0xffffff)).isInstanceOf(BadValueException.class);
        assertThatThrownBy(() -> new Picture(100_000, 100_000, new int[0], 0)).hasMessageContaining("at most");
        Job stopped = new Job() {
            @Override
            public boolean cancelled() {
                return true;
            }
        };
        assertThatThrownBy(() -> LineFollower.from(painted(loop), 900, 205, stopped))
                .isInstanceOf(CancelledException.class);
    }
}
