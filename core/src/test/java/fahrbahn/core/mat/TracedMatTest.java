package fahrbahn.core.mat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.job.Job;
import fahrbahn.core.path.Path;
import fahrbahn.core.path.Pose;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.trace.TickSink;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A mat from a picture is ridden like the course it is a picture of. */
class TracedMatTest {
    private static final Course LOOP = DemoCourses.workshopLoop();
    private static final Mat PHOTO = LineFollowerTest.photographed(LOOP, 6);

    private static Traced followed(Mat mat, double xMm, double yMm) {
        return LineFollower.from(mat.raster().blurred(1.2), xMm, yMm, Job.UNWATCHED);
    }

    /** The line is 20 mm wide and its middle at y = 200: from the middle to two pixels inside its edge. */
    @ParameterizedTest
    @ValueSource(doubles = {0, 1, 2, 4, 6, 8, -1, -2, -8})
    void aClickBesideTheMiddleFindsTheLinesOwnColourAndWidth(double beside) {
        int line = Mat.colourAt(PHOTO.picture(), 2400, 900, 200 + beside);
        int ground = Mat.colourAt(PHOTO.picture(), 2400, 900, 240 + beside);
        Traced traced = followed(new Mat("m", PHOTO.picture(), 2400, line, ground), 900, 200);
        // A pixel is 1 mm; grain and rounding move each edge by less than a fifth of one.
        assertThat(traced.widthMm()).isCloseTo(20, within(0.4));
    }

    @Test
    void theTwinRidesTheMatAsItRidesTheCourse() {
        Setup setup = Setups.pair();
        TracedMat mat = new TracedMat(PHOTO, followed(PHOTO, 520, 200));
        RunResult laid = Twin.run(Track.of(LOOP, setup), Start.calm(0), TickSink.NONE);
        RunResult printed = Twin.run(Track.of(mat, setup), Start.calm(0), TickSink.NONE);
        assertThat(laid.completed()).isTrue();
        assertThat(printed.completed()).isTrue();
        assertThat(printed.timeS()).isCloseTo(laid.timeS(), within(0.01 * laid.timeS()));
        // The path of the mat is known to a few tenths of a millimetre, and so is the distance from it.
        assertThat(printed.rmsMm()).isCloseTo(laid.rmsMm(), within(0.4));
    }

    @Test
    void anOpenLineBeginsAtTheEndThatWasPointedAt() {
        Course mission = DemoCourses.mission();
        Mat photo = LineFollowerTest.photographed(mission, 0);
        Pose start = mission.start();
        Traced traced = followed(photo, start.xMm() + 40, start.yMm());
        Pose first = traced.points().get(0);
        assertThat(Math.hypot(first.xMm() - start.xMm(), first.yMm() - start.yMm()))
                .isLessThan(20);
        assertThat(Math.cos(first.headingRad() - start.headingRad()))
                .as("it sets out along the line")
                .isGreaterThan(0.97);
    }

    /** Round a circle in steps: its length, and the place beside it, to what a chord of 8 mm leaves out. */
    @Test
    void aPathThroughPointsHasTheirLengthAndTurns() {
        List<Pose> circle = new ArrayList<>();
        for (int i = 0; i < 720; i++) {
            double turn = i * Math.PI / 360;
            circle.add(new Pose(500 + 200 * Math.cos(turn), 500 + 200 * Math.sin(turn), turn + Math.PI / 2));
        }
        Path path = Path.through(circle, true);
        double round = 2 * Math.PI * 200;
        assertThat(path.lengthMm()).isCloseTo(round, within(0.001 * round));
        assertThat(path.partAt(300).toString()).as("told as the bend it is").contains("radiusMm=200.0");
        Pose half = path.at(path.lengthMm() / 2);
        assertThat(half.xMm()).isCloseTo(300, within(0.2));
        assertThat(half.yMm()).isCloseTo(500, within(4.0)); // where on the ring the steps began
    }
}
