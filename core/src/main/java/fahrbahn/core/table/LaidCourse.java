package fahrbahn.core.table;

import fahrbahn.core.check.BadValueException;
import java.util.Optional;

/** A draft with what it amounts to, worked out once. */
public final class LaidCourse {
    private final Draft draft;
    private final CourseFigures figures;
    private final Optional<Course> course;
    private final Optional<String> problem;

    public LaidCourse(Draft draft) {
        this.draft = draft;
        this.figures = CourseFigures.of(draft);
        Optional<Course> finished = Optional.empty();
        Optional<String> why = Optional.empty();
        try {
            finished = Optional.of(draft.course());
        } catch (BadValueException unfinished) {
            why = Optional.of(Draft.words(unfinished));
        }
        this.course = finished;
        this.problem = why;
    }

    public Draft draft() {
        return draft;
    }

    public CourseFigures figures() {
        return figures;
    }

    /** The finished course; empty when it is none yet. */
    public Optional<Course> course() {
        return course;
    }

    /** What keeps it from being a course, in words; empty when nothing does. */
    public Optional<String> problem() {
        return problem;
    }
}
