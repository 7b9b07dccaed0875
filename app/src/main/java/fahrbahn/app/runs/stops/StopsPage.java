package fahrbahn.app.runs.stops;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.field.ChoiceField;
import fahrbahn.app.kit.field.NumberField;
import fahrbahn.core.stopping.Rule;
import fahrbahn.words.StoppingWords;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** Where the runs of now stopped: how near, how sure, what is odd about them, and what would make it better. */
public final class StopsPage {
    private static final double SIDE_WIDTH = 420;

    private final StopsModel model;
    private final StopsPicture picture = new StopsPicture();
    private final Label verdict = Nodes.wrapped("", "bench-result");
    private final VBox further = Nodes.column();
    private final VBox better = Nodes.column();

    public StopsPage(StopsModel model) {
        this.model = model;
        verdict.setId("stopsVerdict");
        further.setId("stopsFurther");
        better.setId("stopsBetter");
    }

    public Pages.Page page() {
        NumberField window = new NumberField(
                "stopsWindow",
                "window, ± mm",
                "How far off the robot may stop and the attachment still works.",
                model::changeWindow);
        ChoiceField<Rule> rule = new ChoiceField<>(
                "stopsRule",
                "it stops by",
                "How the program decides to stop.",
                Rule.values(),
                StoppingWords::name,
                model::stopBy);
        model.stopsProperty().addListener(o -> refresh(window, rule));
        model.scatterProperty().addListener(o -> refresh(window, rule));
        refresh(window, rule);
        VBox side = Nodes.column(
                Nodes.panel("How near, and how sure", verdict, Nodes.flow(window, rule)),
                Nodes.panel("What stands out", further),
                Nodes.panel("What would improve it", better));
        side.setMinWidth(SIDE_WIDTH);
        side.setMaxWidth(SIDE_WIDTH);
        VBox body = Nodes.column(Nodes.grow(Nodes.row(
                Nodes.grow(Nodes.panel(
                        "From above, to scale: the next run stops in the ellipse 95 times in 100",
                        Nodes.grow(picture))),
                side)));
        return new Pages.Page(body, List.of(), nowNs -> model.show());
    }

    private void refresh(NumberField window, ChoiceField<Rule> rule) {
        Stops stops = model.stopsProperty().get();
        picture.show(stops);
        window.show(stops.windowMm());
        rule.show(model.rule());
        verdict.setText(StopsWords.verdict(stops));
        fill(further, StopsWords.further(stops), "From two runs on: first run against the rest, drift, what to set.");
        fill(
                better,
                model.scatterProperty()
                        .get()
                        .map(scatter -> StopsWords.better(scatter, model.rule()))
                        .orElse(List.of()),
                "From five stop places on: what causes the scatter.");
    }

    private static void fill(VBox box, List<String> said, String otherwise) {
        List<String> words = said.isEmpty() ? List.of(otherwise) : said;
        box.getChildren().setAll(words.stream().map(w -> Nodes.wrapped(w)).toList());
    }
}
