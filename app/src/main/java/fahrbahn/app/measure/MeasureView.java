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
        StationView pages = new Pages()
                .with("Capture", () -> new CapturePage(model).page())
                .with("Captured", () -> new CapturedPage(model).page())
                .with("Methods and light", () -> together(new SchoolsPage(model).page(), new RoomPage(model).page()))
                .with("Link and logger", () -> together(new LinkPage(model).page(), new LoggerPage(model).page()))
                .view(model.pageProperty());
        Action inOrder = new Action("takeInOrder", "Take the columns in order", KeyCode.Y, model.asking()::takeInOrder);
        inOrder.alwaysThere();
        inOrder.button()
                .disableProperty()
                .bind(model.asking().questionProperty().map(q -> !q.inOrder()));
        return new StationView(
                Nodes.column(new SurfaceQuestion(model), new TypingBar(model), Nodes.grow(pages.content())),
                () -> both(List.of(inOrder), pages.actions().get()),
                code -> inOrder.take(code) || pages.take().test(code),
                pages.frame(),
                pages.page(),
                pages.turnTo());
    }

    /** What belongs together stands together, as long as there is room for both. */
    private static Pages.Page together(Pages.Page upper, Pages.Page lower) {
        return new Pages.Page(Nodes.column(upper.content(), lower.content()), both(upper.actions(), lower.actions()));
    }

    private static List<Action> both(List<Action> first, List<Action> then) {
        List<Action> actions = new ArrayList<>(first);
        actions.addAll(then);
        return actions;
    }
}
