package fahrbahn.app.handover;

import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.StationView;
import java.util.List;

/** The pages of Hand-over. */
public final class HandoverView {
    private HandoverView() {}

    public static StationView of(HandoverModel model) {
        return new Pages(List.of(
                        new CardPage(model.card()).page(),
                        new ProgramPage(model).page(),
                        new TypedPage(model.typed()).page(),
                        new HallPage(model.hall()).page(),
                        new ListPage(model.lists()).page(),
                        new RoundsPage(model.rounds()).page(),
                        new DrillPage(model.drills()).page()))
                .view(model.pageProperty());
    }
}
