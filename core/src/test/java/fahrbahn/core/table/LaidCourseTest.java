package fahrbahn.core.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.path.Part;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

class LaidCourseTest {
    @Test
    void aFinishedDraftIsItsCourse() {
        for (Course course : DemoCourses.all()) {
            LaidCourse laid = new LaidCourse(Draft.of(course));
            assertThat(laid.problem()).isEmpty();
            assertThat(laid.course().orElseThrow().parts()).isEqualTo(course.parts());
            assertThat(laid.figures().lengthMm()).isCloseTo(course.path().lengthMm(), within(1e-6));
            assertThat(laid.figures()).isEqualTo(CourseFigures.of(laid.draft()));
        }
    }

    @Test
    void anUnfinishedOneSaysWhatItLacks() {
        Draft open = Draft.of(DemoCourses.workshopLoop());
        LaidCourse laid = new LaidCourse(open.removed(0));
        assertThat(laid.course()).isEmpty();
        assertThat(laid.problem().orElseThrow()).startsWith("It is ").contains("it must be");
        assertThat(laid.problem()).isEqualTo(laid.draft().problem());
    }

    /** The interface thread works this out once for each change: the largest course there may be takes a moment, not minutes. */
    @Test
    @Timeout(20)
    void theLargestCourseIsWorkedOutOnce() {
        List<Part> parts = new ArrayList<>();
        for (int i = 0; i < 1000; i++) {
            parts.add(new Part.Straight(40));
            parts.add(new Part.Bend(60, i % 2 == 0 ? 0.2 : -0.2));
        }
        Draft draft = Draft.of(DemoCourses.workshopLoop())
                .withTable(100_000, 100_000)
                .withParts(parts)
                .withClosed(false);
        LaidCourse laid = new LaidCourse(draft);
        assertThat(laid.figures().lengthMm()).isCloseTo(1000 * (40 + 60 * 0.2), within(1e-6));
    }
}
