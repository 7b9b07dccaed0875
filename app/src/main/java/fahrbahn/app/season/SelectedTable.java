package fahrbahn.app.season;

import fahrbahn.app.state.Document;
import fahrbahn.app.state.State;
import fahrbahn.core.knowledge.TablePrint;
import fahrbahn.core.mat.MatSheet;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import fahrbahn.core.table.LaidCourse;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.json.TablePrints;
import java.util.Optional;

/** The table selected: its course or its mat, and what that amounts to. */
final class SelectedTable {
    private static final LaidCourse PRACTICE = new LaidCourse(Draft.of(DemoCourses.workshopLoop()));

    private final State state;
    private final Document<Draft> course;
    private final Document<MatSheet> mat;
    private Optional<Laid> latest = Optional.empty();

    /** What a course amounts to: it takes longer to work out than all the rest, and is only when the table is another. */
    private record Laid(String id, Optional<Draft> course, Optional<MatSheet> mat, LaidCourse laid, TablePrint print) {}

    SelectedTable(State state) {
        this.state = state;
        this.course = state.document(Kinds.COURSE);
        this.mat = state.document(Kinds.MAT);
    }

    Document<Draft> course() {
        return course;
    }

    Document<MatSheet> mat() {
        return mat;
    }

    /** The course with what it amounts to; the practice loop as long as there is none. */
    LaidCourse laid() {
        return now().laid();
    }

    /** The table as results remember it. */
    TablePrint print() {
        return now().print();
    }

    private Laid now() {
        String id = state.selection().get().table();
        Optional<Draft> draft = course.kept();
        Optional<MatSheet> sheet = mat.kept();
        boolean same = latest.isPresent()
                && latest.get().id().equals(id)
                && latest.get().course().equals(draft)
                && latest.get().mat().equals(sheet);
        if (!same) {
            LaidCourse laid = draft.map(LaidCourse::new).orElse(PRACTICE);
            TablePrint print = sheet.map(s -> TablePrints.of(id, s)).orElseGet(() -> TablePrints.of(id, laid.draft()));
            latest = Optional.of(new Laid(id, draft, sheet, laid, print));
        }
        return latest.get();
    }
}
