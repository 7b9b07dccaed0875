package fahrbahn.app.measure;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.StationView;
import java.util.List;

/** Captures: taking them, judging them, comparing schools, the room's light, and the link they come over. */
public final class MeasureView {
    private MeasureView() {}

    public static StationView of(MeasureModel model) {
        StationView pages = new Pages(List.of(
                        new CapturePage(model).page(),
                        new CapturedPage(model).page(),
                        new SchoolsPage(model).page(),
                        new RoomPage(model).page(),
                        new LinkPage(model).page(),
                        new LoggerPage(model).page()))
                .view(model.pageProperty());
        return new StationView(
                Nodes.column(new SurfaceQuestion(model), new TypingBar(model), Nodes.grow(pages.content())),
                pages.actions(),
                pages.frame());
    }
}
