package fahrbahn.app.runs;

import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.StationView;
import fahrbahn.app.runs.compare.ComparePage;
import fahrbahn.app.runs.plan.PlanPage;
import fahrbahn.app.runs.stops.StopsPage;

/** The pages of the log book. */
public final class RunsView {
    private RunsView() {}

    public static StationView of(RunsModel model) {
        return new Pages()
                .with("Log", () -> new QuickLogPage(model).page())
                .with("Log book", () -> new BookPage(model).page())
                .with("Where it stops", () -> new StopsPage(model.stops()).page())
                .with("Compare", () -> new ComparePage(model.compare()).page())
                .with("Plan", () -> new PlanPage(model.plan()).page())
                .with("Season", () -> new SeasonPage(model.book()).page())
                .view(model.pageProperty());
    }
}
