package fahrbahn.app.handover;

import fahrbahn.app.handover.card.CardPage;
import fahrbahn.app.handover.drill.DrillPage;
import fahrbahn.app.handover.hall.HallPage;
import fahrbahn.app.handover.lists.ListPage;
import fahrbahn.app.handover.lists.RoundsPage;
import fahrbahn.app.handover.program.ProgramPage;
import fahrbahn.app.handover.program.TypedPage;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.StationView;

/** The pages of Hand-over. */
public final class HandoverView {
    private HandoverView() {}

    public static StationView of(HandoverModel model) {
        return new Pages()
                .with("Pit card", () -> new CardPage(model.card()).page())
                .with("Program", () -> new ProgramPage(model.program()).page())
                .with("Read-back", () -> new TypedPage(model.typed()).page())
                .with("New venue", () -> new HallPage(model.hall()).page())
                .with("Lists", () -> new ListPage(model.lists()).page())
                .with("Rounds", () -> new RoundsPage(model.rounds()).page())
                .with("Drills", () -> new DrillPage(model.drills()).page())
                .view(model.pageProperty());
    }
}
