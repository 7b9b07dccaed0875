package fahrbahn.app.runs;

import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.StationView;
import java.util.List;

/** The pages of the log book. */
public final class RunsView {
    private RunsView() {}

    public static StationView of(RunsModel model) {
        return new Pages(List.of(
                        new QuickLogPage(model).page(),
                        new BookPage(model).page(),
                        new StopsPage(model.stops()).page(),
                        new ComparePage(model.compare(), new CompareWords(model.club())).page(),
                        new PlanPage(model.plan()).page(),
                        new SeasonPage(model.book()).page()))
                .view(model.pageProperty());
    }
}
