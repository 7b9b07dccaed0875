package fahrbahn.core.path;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.table.Course;
import fahrbahn.core.table.Relief;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Where a path stops bringing anything new, and where a table is even. */
class NoveltyTest {
    private static Path path(Part... parts) {
        return new Course("c", 4000, 3000, new Pose(300, 300, 0), List.of(parts), false).path();
    }

    @Test
    void endsAfterTheLastPartThatIsUnlikeThoseBefore() {
        double quarter = Math.PI / 2;
        Path seen = path(
                new Part.Straight(400),
                new Part.Bend(200, quarter),
                new Part.Straight(100),
                new Part.Bend(220, quarter),
                new Part.Straight(500));
        assertThat(Novelty.untilMm(seen)).isCloseTo(400 + 200 * quarter, within(1e-9));
        // Tighter, the other way, or longer: new.
        Path tighter = path(
                new Part.Straight(400), new Part.Bend(300, quarter), new Part.Straight(50), new Part.Bend(200, 0.5));
        assertThat(Novelty.untilMm(tighter)).isCloseTo(tighter.lengthMm(), within(1e-9));
        Path other = path(new Part.Straight(400), new Part.Bend(300, 0.6), new Part.Bend(300, -0.6));
        assertThat(Novelty.untilMm(other)).isCloseTo(other.lengthMm(), within(1e-9));
        Path gaps = path(
                new Part.Straight(400),
                new Part.Gap(60),
                new Part.Straight(200),
                new Part.Gap(50),
                new Part.Straight(90));
        assertThat(Novelty.untilMm(gaps)).isCloseTo(460, within(1e-9));
    }

    /** By walking there: as far as is said, nothing slopes and nothing rises; a little further something does. */
    @Test
    void evenGroundIsAsLongAsItIsSaidToBe() {
        Path path = path(
                new Part.Straight(300),
                new Part.Bump(60, 5),
                new Part.Straight(250),
                new Part.Ramp(200, 0.1),
                new Part.Straight(300));
        Relief relief = Relief.of(path);
        for (double from = 0.3; from < 1000; from += 7) {
            double to = from + 90;
            double even = relief.evenForMm(from, to);
            boolean clear = true;
            double last = 0;
            for (double far = 0; far < 400; far += 0.5) {
                double rise = relief.heightMm(to + far) - relief.heightMm(from - far);
                clear = clear
                        && rise == relief.heightMm(to) - relief.heightMm(from)
                        && flat(relief, from - far, to + far);
                last = clear ? far : last;
            }
            if (even > 0 && even < 390) {
                assertThat(last).as("from %s", from).isCloseTo(even, within(1.0));
            }
            assertThat(even == 0).as("from %s", from).isEqualTo(!flat(relief, from, to));
        }
    }

    private static boolean flat(Relief relief, double from, double to) {
        for (double s = from; s <= to; s += 0.25) {
            if (relief.slope(s) != 0) {
                return false;
            }
        }
        return true;
    }
}
