package fahrbahn.app.handover;

import fahrbahn.app.handover.drill.DrillPage;
import fahrbahn.app.handover.lists.ListPage;
import fahrbahn.app.handover.lists.RoundsPage;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.StationView;

/** The pages of Hand-over. */
public final class HandoverView {
    private HandoverView() {}

    public static StationView of(HandoverModel model) {
        return new Pages()
                .with("Pit card", () -> new CardPage(model.card()).page())
                .with("Program", () -> new ProgramPage(model).page())
                .with("Typed back", () -> new TypedPage(model.typed()).page())
                .with("New hall", () -> new HallPage(model.hall()).page())
                .with("Lists", () -> new ListPage(model.lists()).page())
                .with("Rounds", () -> new RoundsPage(model.rounds()).page())
                .with("Drills", () -> new DrillPage(model.drills()).page())
                .view(model.pageProperty());
    }
}
