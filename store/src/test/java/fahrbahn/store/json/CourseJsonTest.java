package fahrbahn.store.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.path.Part;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.Surface;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import fahrbahn.store.file.BadFileException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class CourseJsonTest {
    @TempDir
    private Path folder;

    static Stream<Course> courses() {
        List<Part> everyPart = List.of(
                new Part.Straight(50),
                new Part.RightAngle(Part.Turn.LEFT, 60),
                new Part.Crossing(60, Part.Turn.STRAIGHT, true),
                new Part.Crease(20, 1),
                new Part.Ramp(80, -0.1));
        return Stream.concat(
                DemoCourses.all().stream(),
                Stream.of(new Course("every", 700, 700, new Pose(100, 100, 0.2), everyPart, false)));
    }

    /** Angles go through degrees: what comes back differs by rounding at most. */
    @ParameterizedTest
    @MethodSource("courses")
    void whatIsWrittenIsReadAgain(Course course) throws Exception {
        Course again = CourseJson.parseDraft(CourseJson.write(Draft.of(course))).course();
        assertThat(again.name()).isEqualTo(course.name());
        assertThat(again.closed()).isEqualTo(course.closed());
        assertThat(again.palette()).isEqualTo(course.palette());
        assertThat(again.parts()).hasSameSizeAs(course.parts());
        for (int i = 0; i < course.parts().size(); i++) {
            assertThat(again.parts().get(i)).hasSameClassAs(course.parts().get(i));
        }
        for (double s = 0; s < course.path().lengthMm(); s += 25) {
            assertThat(again.path().at(s).xMm()).isCloseTo(course.path().at(s).xMm(), within(1e-9));
            assertThat(again.path().at(s).yMm()).isCloseTo(course.path().at(s).yMm(), within(1e-9));
        }
    }

    @Test
    void surfacesOfOnesOwnAreKeptAndUnknownFieldsAreNoError() throws Exception {
        String json = CourseJson.write(Draft.of(DemoCourses.mission()))
                .replace("\"name\"", "\"laidBy\" : \"the club\", \"name\"")
                .replace("\"surfaces\" : {", "\"surfaces\" : { \"floor\" : 3,");
        Course course = CourseJson.parseDraft(json).course();
        assertThat(course.palette().entry()).isEqualTo(Surface.grey(1.25));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"lengthMm\" : 520.0 | \"lengthMm\" : -520 | parts[0].lengthMm is -520; it must be above 0",
                "\"lengthMm\" : 520.0 | \"lengthMm\" : \"long\" | parts[0].lengthMm is \"long\"; it must be a number",
                "\"part\" : \"straight\" | \"part\" : \"spiral\" | parts[0].part is \"spiral\"; it must be straight, bend",
                "\"widthMm\" : 2350.0 | \"widthMm\" : 900 | off the table at",
                "\"closed\" : false | \"closed\" : true | the end must meet the start",
                "fahrbahn-course | fahrbahn-setup | format is \"fahrbahn-setup\"; it must be \"fahrbahn-course\"",
                "\"version\" : 1 | \"version\" : 2 | version is 2.0",
                "\"red\" : 0.86 | \"red\" : 0.01 | palette.light is 0.01 in channel red",
                "\"parts\" : [ | \"parts\" : [[], | parts[0] is []; it must be an object"
            })
    void aBadCourseNamesTheFieldTheValueAndTheRule(String good, String bad, String message) throws Exception {
        String json = CourseJson.write(Draft.of(DemoCourses.mission()));
        assertThat(json).contains(good);
        Path file = Files.writeString(
                folder.resolve("bad.json"),
                json.replaceFirst(java.util.regex.Pattern.quote(good), java.util.regex.Matcher.quoteReplacement(bad)));
        assertThatThrownBy(() -> CourseJson.read(file))
                .isInstanceOf(BadFileException.class)
                .hasMessageContaining("bad.json")
                .hasMessageContaining(message);
    }
}
