package fahrbahn.app.table;

import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.StationView;
import java.util.List;

/** The table: a course laid from parts, a mat from a picture, and what a robot would read on either. */
public final class TableView {
    private TableView() {}

    public static StationView of(TableModel model) {
        return new Pages(List.of(
                        new LayPage(model).page(),
                        new ColoursPage(model).page(),
                        new MatPage(model.mat()).page(),
                        new LookPage(model.look()).page()))
                .view(model.pageProperty());
    }
}
