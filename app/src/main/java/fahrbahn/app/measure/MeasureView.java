package fahrbahn.app.measure;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.StationView;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.input.KeyCode;

/** Captures: taking them, judging them, comparing schools, the room's light, and the link they come over. */
public final class MeasureView {
    private MeasureView() {}

    public static StationView of(MeasureModel model) {
        StationView pages = new Pages(List.of(
                        new CapturePage(model).page(),
                        new CapturedPage(model).page(),
                        together("Schools and room", new SchoolsPage(model).page(), new RoomPage(model).page()),
                        together("Link and logger", new LinkPage(model).page(), new LoggerPage(model).page())))
                .view(model.pageProperty());
        Action inOrder = new Action("takeInOrder", "Take the columns in order", KeyCode.Y, model.asking()::takeInOrder);
        inOrder.alwaysThere();
        inOrder.button()
                .disableProperty()
                .bind(model.asking().questionProperty().map(q -> !q.inOrder()));
        List<Action> actions = new ArrayList<>(List.of(inOrder));
        actions.addAll(pages.actions());
        return new StationView(
                Nodes.column(new SurfaceQuestion(model), new TypingBar(model), Nodes.grow(pages.content())),
                actions,
                pages.frame(),
                pages.page(),
                pages.turnTo());
    }

    /** What belongs together stands together, as long as there is room for both. */
    private static Pages.Page together(String title, Pages.Page upper, Pages.Page lower) {
        List<Action> actions = new ArrayList<>(upper.actions());
        actions.addAll(lower.actions());
        return new Pages.Page(title, Nodes.column(upper.content(), lower.content()), actions);
    }
}
