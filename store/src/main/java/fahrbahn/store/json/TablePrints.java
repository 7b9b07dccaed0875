package fahrbahn.store.json;

import fahrbahn.core.knowledge.TablePrint;
import fahrbahn.core.mat.MatSheet;
import fahrbahn.core.table.Draft;

/** Tables as results remember them: another name is the same table, another line is not. */
public final class TablePrints {
    private static final String NAMELESS = "table";

    private TablePrints() {}

    public static TablePrint of(String id, Draft course) {
        return new TablePrint(id, course.name(), Shared.print(CourseJson.write(course.withName(NAMELESS))));
    }

    public static TablePrint of(String id, MatSheet mat) {
        return new TablePrint(id, mat.name(), Shared.print(MatJson.write(mat.withName(NAMELESS))));
    }
}
