package fahrbahn.core.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.Path;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.Palette;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class DraftTest {
    private static final double QUARTER = Math.PI / 2;

    private static Draft empty() {
        return new Draft("Bench", 3000, 2000, new Pose(700, 300, 0), List.of(), false, Palette.USUAL);
    }

    @Test
    void whatIsNotACourseYetSaysWhy() {
        assertThat(empty().problem()).hasValueSatisfying(why -> assertThat(why).contains("at least one part"));
        Draft off = empty().inserted(0, new Part.Straight(4000));
        assertThat(off.problem()).hasValueSatisfying(why -> assertThat(why).contains("off the table"));
        Draft fine = empty().inserted(0, new Part.Straight(900));
        assertThat(fine.problem()).isEmpty();
        assertThat(fine.withClosed(true).problem())
                .hasValueSatisfying(why -> assertThat(why).contains("apart at the ends"));
        assertThatThrownBy(() -> empty().withTable(-1, 5)).isInstanceOf(BadValueException.class);
    }

    @Test
    void aCourseAndItsDraftAreTheSame() {
        for (Course course : DemoCourses.all()) {
            assertThat(Draft.of(course).course()).isEqualTo(course);
            assertThat(Draft.of(course).joints()).hasSize(course.parts().size() + 1);
        }
    }

    @Test
    void figuresOfARectangleWithRoundCornersAreThoseOfTheFormula() {
        Draft round = empty().withParts(List.of(
                        new Part.Straight(800),
                        new Part.Bend(150, QUARTER),
                        new Part.Straight(200),
                        new Part.Gap(50),
                        new Part.Straight(150),
                        new Part.Bend(150, QUARTER),
                        new Part.Straight(800),
                        new Part.Bend(150, QUARTER),
                        new Part.Straight(400),
                        new Part.Bend(150, QUARTER)))
                .withClosed(true);
        CourseFigures figures = CourseFigures.of(round);
        assertThat(figures.lengthMm()).isCloseTo(2 * 800 + 2 * 400 + 2 * Math.PI * 150, within(1e-6));
        assertThat(figures.tapeMm()).isCloseTo(figures.lengthMm() - 50, within(1e-6));
        assertThat(figures.tightestRadiusMm()).isCloseTo(150, within(1e-9));
        assertThat(figures.gaps()).isEqualTo(1);
        assertThat(figures.longestGapMm()).isEqualTo(50);
        assertThat(figures.apartMm()).isLessThan(1e-6);
        assertThat(figures.turnedRad()).isCloseTo(0, within(1e-9));
        assertThat(round.problem()).isEmpty();
    }

    /** Whatever has been laid, the way home meets the start exactly and with the direction of the start. */
    @Test
    void anyEndIsLedBackToTheStart() {
        Random random = new Random(8);
        for (int i = 0; i < 200; i++) {
            Pose from = new Pose(random.nextInt(3000), random.nextInt(2000), 6 * random.nextDouble());
            Pose to = new Pose(random.nextInt(3000), random.nextInt(2000), 6 * random.nextDouble());
            List<List<Part>> ways = Homeward.ways(from, to, 120);
            assertThat(ways).isNotEmpty();
            double before = 0;
            for (List<Part> way : ways) {
                Pose end = new Path(from, way, false).end();
                assertThat(Math.hypot(end.xMm() - to.xMm(), end.yMm() - to.yMm()))
                        .isLessThan(1e-6);
                assertThat(Math.IEEEremainder(end.headingRad() - to.headingRad(), 2 * Math.PI))
                        .isCloseTo(0, within(1e-9));
                double length = way.stream().mapToDouble(Part::lengthMm).sum();
                assertThat(length).isGreaterThanOrEqualTo(before - 1e-9);
                assertThat(length)
                        .isGreaterThanOrEqualTo(Math.hypot(to.xMm() - from.xMm(), to.yMm() - from.yMm()) - 1e-6);
                before = length;
            }
        }
    }

    @Test
    void aHalfLaidLoopIsClosedIntoACourse() {
        Draft half = empty().withParts(
                        List.of(new Part.Straight(1200), new Part.Bend(250, QUARTER), new Part.Straight(300)));
        Draft loop = half.closed(200);
        assertThat(loop.problem()).isEmpty();
        assertThat(loop.closed()).isTrue();
        assertThat(loop.parts().subList(0, 3)).isEqualTo(half.parts());
        assertThat(CourseFigures.of(loop).apartMm()).isLessThan(1e-6);
        assertThatThrownBy(() -> half.closed(5000)).hasMessageContaining("lead back to the start");
        assertThatThrownBy(() -> half.closed(Double.NaN)).isInstanceOf(BadValueException.class);
    }

    @Test
    void aPlaceFindsThePartThatPassesNearest() {
        Draft draft = empty().withParts(List.of(
                new Part.Straight(500),
                new Part.RightAngle(Part.Turn.LEFT, 100),
                new Part.RightAngle(Part.Turn.LEFT, 100),
                new Part.Straight(300)));
        assertThat(draft.partNear(900, 310, 40)).isZero();
        assertThat(draft.partNear(1300, 370, 40)).isEqualTo(1);
        assertThat(draft.partNear(1250, 500, 40)).isEqualTo(2);
        assertThat(draft.partNear(1000, 500, 40)).isEqualTo(3);
        assertThat(draft.partNear(200, 1900, 40)).isEqualTo(-1);
        assertThat(draft.removed(1).parts()).hasSize(3);
        assertThat(draft.withPart(0, new Part.Gap(30)).parts().get(0)).isEqualTo(new Part.Gap(30));
    }
}
