package fahrbahn.app.runs;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.NumberField;
import fahrbahn.app.kit.Pages;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** Where the runs of now stopped: how near, how sure, and what is odd about them. */
final class StopsPage {
    private static final double SIDE_WIDTH = 400;

    private final RunsModel model;
    private final StopsPicture picture = new StopsPicture();
    private final Label verdict = Nodes.wrapped("", "bench-result");
    private final VBox further = Nodes.column();

    StopsPage(RunsModel model) {
        this.model = model;
        verdict.setId("stopsVerdict");
        further.setId("stopsFurther");
    }

    Pages.Page page() {
        NumberField window = new NumberField(
                "stopsWindow",
                "window, +- mm",
                "How far the robot may stop from its place to each side and the attachment still works.",
                model::changeWindow);
        model.stopsProperty().addListener(o -> refresh(window));
        refresh(window);
        VBox side = Nodes.column(
                Nodes.panel("How near, and how sure", verdict, window), Nodes.panel("What is odd about them", further));
        side.setMinWidth(SIDE_WIDTH);
        side.setMaxWidth(SIDE_WIDTH);
        VBox body = Nodes.column(Nodes.grow(Nodes.row(
                Nodes.grow(Nodes.panel(
                        "From above, to scale: the next one stops in the ellipse with a chance of 95 %",
                        Nodes.grow(picture))),
                side)));
        return new Pages.Page("Where it stops", body, List.of());
    }

    private void refresh(NumberField window) {
        Stops stops = model.stopsProperty().get();
        picture.show(stops);
        window.show(stops.windowMm());
        verdict.setText(StopsWords.verdict(stops));
        List<String> said = StopsWords.further(stops);
        further.getChildren()
                .setAll((said.isEmpty()
                                ? List.of("From two runs on: the first against the rest, drift, what to set.")
                                : said)
                        .stream().map(words -> Nodes.wrapped(words)).toList());
    }
}
