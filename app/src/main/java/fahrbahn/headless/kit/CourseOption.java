package fahrbahn.headless.kit;

import fahrbahn.core.table.Course;
import fahrbahn.store.file.BadFileException;
import picocli.CommandLine.Option;

/** The course that a command drives on. */
public final class CourseOption {
    @Option(names = "--course", required = true, paramLabel = "C", description = "a file, or one of our own")
    private String course;

    /** @throws BadFileException naming the file, the field, the value and what was expected */
    public Course read() throws BadFileException {
        return CourseChoice.read(course);
    }
}
