package fahrbahn.headless.kit;

import fahrbahn.core.table.Course;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.CourseJson;
import java.nio.file.Path;
import java.util.Map;
import java.util.function.Supplier;

/** A course as a command is given it: the name of one of our own, or a file. */
public final class CourseChoice {
    private static final Map<String, Supplier<Course>> OUR_OWN = Map.of(
            "loop", DemoCourses::workshopLoop,
            "rescue", DemoCourses::rescue,
            "mission", DemoCourses::mission,
            "sprint", DemoCourses::sprint);

    private CourseChoice() {}

    public static Course read(String given) throws BadFileException {
        Supplier<Course> own = OUR_OWN.get(given);
        return own != null ? own.get() : CourseJson.read(Path.of(given));
    }
}
