package fahrbahn.core.path;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.path.Part.Turn;
import java.util.List;
import org.junit.jupiter.api.Test;

class PartShapesTest {
    private static final Pose START = new Pose(100, 200, Math.PI / 2);
    private static final List<Part> EACH = List.of(
            new Part.Straight(300),
            new Part.Bend(200, 1),
            new Part.SwingOver(150, 0.5),
            new Part.RightAngle(Turn.LEFT, 80),
            new Part.Crossing(90, Turn.RIGHT, true),
            new Part.Gap(60),
            new Part.Bump(60, 5),
            new Part.Ramp(250, 0.1),
            new Part.Crease(30, 1),
            new Part.EntryStrip(25),
            new Part.StopStrip(40),
            new Part.End(120));

    @Test
    void pullingAnEndToWhereItIsChangesNothingMuch() {
        for (Part part : EACH) {
            Pose end = new Path(START, List.of(part), false).end();
            Part pulled = PartShapes.pulledTo(part, START, end.xMm(), end.yMm());
            assertThat(pulled).hasSameClassAs(part);
            // Rounded to 10 mm or 5 degrees of a part: at the arms of a corner that counts twice.
            assertThat(pulled.lengthMm()).as("%s", part).isCloseTo(part.lengthMm(), within(21.0));
        }
    }

    @Test
    void aStraightFollowsTheHandAndABendTurnsTowardsIt() {
        assertThat(PartShapes.pulledTo(new Part.Straight(300), START, 130, 652)).isEqualTo(new Part.Straight(450));
        assertThat(PartShapes.pulledTo(new Part.Straight(300), START, 100, -500))
                .isEqualTo(new Part.Straight(10));
        // Left of a start that faces up: the middle of the circle is at (-100, 200), its top at (-100, 400).
        Part.Bend bend = (Part.Bend) PartShapes.pulledTo(new Part.Bend(200, 0.3), START, -100, 430);
        assertThat(bend.angleRad()).isCloseTo(Math.PI / 2, within(1e-9));
        Part.Bend right = (Part.Bend) PartShapes.pulledTo(new Part.Bend(200, -0.3), START, 300, 430);
        assertThat(right.angleRad()).isCloseTo(-Math.PI / 2, within(1e-9));
    }

    @Test
    void aStepLongerAndAStepShorterIsTheSameAgain() {
        for (Part part : EACH) {
            Part longer = PartShapes.stretched(part, 10, 0.1, 10);
            assertThat(longer.lengthMm()).as("%s", part).isGreaterThan(part.lengthMm());
            assertThat(PartShapes.stretched(longer, -10, -0.1, 10).lengthMm())
                    .as("%s", part)
                    .isCloseTo(part.lengthMm(), within(1e-9));
        }
        assertThat(PartShapes.stretched(new Part.Straight(12), -10, -0.1, 10)).isEqualTo(new Part.Straight(10));
    }

    @Test
    void turnedOverTwiceIsTheSameAgain() {
        for (Part part : EACH) {
            Part once = PartShapes.mirrored(part);
            Part back = PartShapes.mirrored(once);
            if (part instanceof Part.Crossing) {
                // Four ways on, one after the other, each with the marks that tell it.
                assertThat(back).isNotEqualTo(part);
                back = PartShapes.mirrored(PartShapes.mirrored(back));
            }
            assertThat(back).isEqualTo(part);
        }
        assertThat(PartShapes.mirrored(new Part.RightAngle(Turn.LEFT, 80)))
                .isEqualTo(new Part.RightAngle(Turn.RIGHT, 80));
    }
}
