package fahrbahn.store.json;

import fahrbahn.core.belief.Story;
import fahrbahn.core.belief.Trial;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.core.tuning.race.Goal;
import fahrbahn.store.file.BadFileException;
import java.nio.file.Path;
import java.util.List;
import java.util.OptionalDouble;

/** A story of trials, version 1: what was tried with a robot on a course, and what was seen. */
public final class StoryJson {
    private static final String FORMAT = "fahrbahn-story";
    private static final int VERSION = 1;

    /** Finds a course that a story names. */
    @FunctionalInterface
    public interface Courses {
        Course named(String name) throws BadFileException;
    }

    private StoryJson() {}

    /**
     * The setup and the course may lie in the story, or be named: files beside it, or a course of our own.
     *
     * @throws BadFileException naming the file, the field, the value and what was expected
     */
    public static Story read(Path file, Courses courses) throws BadFileException {
        return Documents.read(file, "story", root -> story(root, file, courses));
    }

    private static Story story(Fields root, Path file, Courses courses) {
        Documents.checkFormat(root, FORMAT, VERSION);
        Setup setup = root.json().path("setup").isTextual()
                ? setup(root.text("setup"), file)
                : SetupJson.in(root.object("setup"));
        Course course = root.json().path("course").isTextual()
                ? course(root.text("course"), file, courses)
                : CourseJson.in(root.object("course"));
        Goal goal = root.oneOf("for", Goal.values(), Goal::word);
        double left = root.number("trialsLeft");
        List<Trial> trials =
                root.objectsOrNothing("trials").stream().map(StoryJson::trial).toList();
        return root.make(() -> {
            Check.require(left == Math.rint(left), "trialsLeft", left, "a whole number");
            return new Story(setup, course, goal, (int) left, trials);
        });
    }

    private static Setup setup(String name, Path story) {
        try {
            return SetupJson.read(story.resolveSibling(name));
        } catch (BadFileException cannot) {
            throw new BadValueException(
                    "setup", "\"" + name + "\"", "a setup, or the name of its file: " + cannot.getMessage());
        }
    }

    private static Course course(String name, Path story, Courses courses) {
        try {
            Path beside = story.resolveSibling(name);
            return java.nio.file.Files.isRegularFile(beside) ? CourseJson.read(beside) : courses.named(name);
        } catch (BadFileException cannot) {
            throw new BadValueException(
                    "course", "\"" + name + "\"", "a course, or the name of one: " + cannot.getMessage());
        }
    }

    private static Trial trial(Fields json) {
        return json.make(() -> {
            double wiggles = json.number("wiggles", 0);
            Check.notNegative("wiggles", wiggles);
            boolean counted = wiggles > 0 && json.has("wigglesS");
            return new Trial(
                    json.number("kp"),
                    json.number("kd", 0),
                    json.number("baseCommand"),
                    json.oneOf("seen", Seen.values(), Seen::word),
                    json.has("completed") ? Trial.Finish.of(json.truth("completed")) : Trial.Finish.NOT_SAID,
                    counted ? OptionalDouble.of(json.number("wigglesS") / wiggles) : OptionalDouble.empty(),
                    (int) Math.min(10_000, wiggles),
                    optional(json, "lapS"),
                    optional(json, "alongMm"),
                    optional(json, "target"));
        });
    }

    private static OptionalDouble optional(Fields json, String name) {
        return json.has(name) ? OptionalDouble.of(json.number(name)) : OptionalDouble.empty();
    }
}
