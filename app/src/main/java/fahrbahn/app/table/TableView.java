package fahrbahn.app.table;

import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.StationView;

/** The table: a course laid from parts, a mat from a picture, and what a robot would read on either. */
public final class TableView {
    private TableView() {}

    public static StationView of(TableModel model) {
        return new Pages()
                .with("Lay", () -> new LayPage(model).page())
                .with("Colours", () -> new ColoursPage(model).page())
                .with("Mat", () -> new MatPage(model.mat()).page())
                .with("Read", () -> new LookPage(model.look()).page())
                .view(model.pageProperty());
    }
}
