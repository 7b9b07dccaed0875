package fahrbahn.core.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.colour.Channel;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.Path;
import fahrbahn.core.path.PathTracker;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.Raster;
import fahrbahn.core.raster.SeenRaster;
import fahrbahn.core.raster.TableTop;
import fahrbahn.core.response.Spot;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Polarity;
import java.util.List;
import org.junit.jupiter.api.Test;

class TableTest {
    /** SCIENCE: a read of the blurred raster agrees with the closed form within 0.5 % of the contrast. */
    @Test
    void rasterReadAgreesWithTheClosedFormOnAStraightLineAtAnyAngle() {
        for (double angle : new double[] {0, 0.3, Math.PI / 4, 1.2, 2e-7}) {
            Pose start = new Pose(60, 60, angle);
            Course course = new Course("slanted", 400, 400, start, List.of(new Part.Straight(280)), false);
            SeenRaster seen = SeenTable.of(course, new Line(19, Polarity.DARK_ON_LIGHT, 100), Channel.ALL, 3);
            for (double offset = -25; offset <= 25; offset += 0.37) {
                Pose at = start.offset(140, offset);
                assertThat(seen.at(at.xMm(), at.yMm()))
                        .as("offset %.2f mm, angle %.2f rad", offset, angle)
                        .isCloseTo(Spot.coverage(offset, 19, 3), within(0.005));
            }
        }
    }

    /** A spot of a millimetre on the largest built-in course, whose cells are as large as they may be beside their spot. */
    @Test
    void aNarrowSpotOnALargeTableReadsAsWell() {
        Course rescue = DemoCourses.rescue();
        SeenRaster seen = SeenTable.of(rescue, new Line(19, Polarity.DARK_ON_LIGHT, 100), Channel.ALL, 1);
        Pose start = rescue.path().at(80);
        for (double offset = -14; offset <= 14; offset += 0.137) {
            Pose at = start.offset(0, offset);
            assertThat(seen.at(at.xMm(), at.yMm()))
                    .as("offset %.2f mm", offset)
                    .isCloseTo(Spot.coverage(offset, 19, 1), within(0.005));
        }
        assertThatThrownBy(() -> SeenTable.of(rescue, new Line(19, Polarity.DARK_ON_LIGHT, 100), Channel.ALL, 0.9))
                .hasMessageContaining("spotSigmaMm")
                .hasMessageContaining("smaller table");
    }

    /** Five metres by five: one view of it fits, ten that differ do not, and that is said before any is painted. */
    @Test
    void manyViewsOfALargeTableHaveToFitTogether() {
        TableTop large = new TableTop() {
            @Override
            public String name() {
                return "large";
            }

            @Override
            public double widthMm() {
                return 5000;
            }

            @Override
            public double heightMm() {
                return 5000;
            }

            @Override
            public Raster painted(Line line, Channel channel, double cellMm) {
                return Raster.of(1, 1, cellMm, new float[1]);
            }
        };
        Line line = new Line(19, Polarity.DARK_ON_LIGHT, 100);
        assertThat(SeenTable.of(large, line, Channel.ALL, 3, SeenTable.Cells.FINE, 3, 1))
                .isNotNull();
        assertThatThrownBy(() -> SeenTable.of(large, line, Channel.ALL, 3, SeenTable.Cells.FINE, 3, 10))
                .hasMessageContaining("spotSigmaMm")
                .hasMessageContaining("same spot");
    }

    @Test
    void jointsLeaveNoSeamInTheLine() {
        Path path = DemoCourses.workshopLoop().path();
        SeenRaster seen =
                SeenTable.of(DemoCourses.workshopLoop(), new Line(20, Polarity.DARK_ON_LIGHT, 100), Channel.ALL, 3);
        for (double s = 0; s < path.lengthMm(); s += 1) {
            Pose at = path.at(s);
            assertThat(seen.at(at.xMm(), at.yMm())).as("at s = %.0f mm", s).isGreaterThan(0.985);
        }
    }

    @Test
    void pathClosesAndTheTrackerFollowsItRound() {
        Path path = DemoCourses.workshopLoop().path();
        assertThat(path.tightestRadiusMm()).isCloseTo(150, within(1e-9));
        PathTracker tracker = new PathTracker(path);
        for (double s = 0; s < 2.5 * path.lengthMm(); s += 2) {
            Pose beside = path.at(s).offset(0, 7);
            tracker.moveTo(beside.xMm(), beside.yMm());
            assertThat(tracker.leftMm()).as("at s = %.0f mm", s).isCloseTo(7, within(1e-6));
            assertThat(tracker.sMm()).isCloseTo(s, within(1e-6));
        }
    }

    @Test
    void coursesThatCannotBeLaidAreRefusedWithTheReason() {
        List<Part> open = List.of(new Part.Straight(200), new Part.Bend(100, 1));
        assertThatThrownBy(() -> new Course("open", 900, 900, new Pose(300, 300, 0), open, true))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("the end must meet the start");
        assertThatThrownBy(() -> new Course("off", 300, 300, new Pose(200, 200, 0), open, false))
                .hasMessageContaining("off the table at (30");
        assertThatThrownBy(() -> new Part.Bend(Double.NaN, 1)).hasMessageContaining("radiusMm is NaN");
        assertThatThrownBy(() -> Course.straight(1e9)).hasMessageContaining("at most 50000");
    }
}
