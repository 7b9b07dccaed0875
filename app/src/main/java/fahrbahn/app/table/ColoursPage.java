package fahrbahn.app.table;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.field.NumberField;
import fahrbahn.core.raster.Palette;
import fahrbahn.core.raster.Surface;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;

/** The colours of what lies beside and across the line: by number, or as captured. */
final class ColoursPage {
    private static final List<String> CHANNELS = List.of("red", "green", "blue");
    private static final double SWATCH = 44;

    private final TableModel model;
    private final List<Runnable> refreshers = new ArrayList<>();

    private interface With {
        Surface apply(Surface surface, double value);
    }

    private static final List<With> WITH = List.of(
            (s, v) -> new Surface(v, s.green(), s.blue()),
            (s, v) -> new Surface(s.red(), v, s.blue()),
            (s, v) -> new Surface(s.red(), s.green(), v));

    ColoursPage(TableModel model) {
        this.model = model;
    }

    Pages.Page page() {
        Action take = new Action("takeTableColours", "As captured", KeyCode.Q, model::takeCapturedColours);
        VBox body = Nodes.column(Nodes.row(
                Nodes.wrapped(
                        "Light reflected, in percent of white paper; over 100 where it shines. The simulation uses these.",
                        "reason"),
                Nodes.spring(),
                take.button()));
        for (Palette.Painted painted : Palette.Painted.values()) {
            body.getChildren().add(surface(painted));
        }
        model.draftProperty().addListener(o -> refresh());
        refresh();
        return new Pages.Page(body, List.of(take));
    }

    private VBox surface(Palette.Painted painted) {
        Rectangle swatch = new Rectangle(SWATCH, SWATCH);
        swatch.setAccessibleText(TableWords.painted(painted));
        FlowPane fields = Nodes.flow();
        for (int i = 0; i < CHANNELS.size(); i++) {
            int at = i;
            NumberField field = new NumberField(
                    painted.word() + CHANNELS.get(i),
                    CHANNELS.get(i) + ", %",
                    "Reflectance in this channel, in percent of white paper.",
                    v -> model.type(d -> d.withPalette(d.palette()
                            .with(painted, WITH.get(at).apply(d.palette().surface(painted), v / 100)))));
            refreshers.add(() -> field.show(Math.round(1e4 * channel(shown(painted), at)) / 1e2));
            fields.getChildren().add(field);
        }
        Label seen = Nodes.wrapped("", "reason");
        seen.setId(painted.word() + "Seen");
        refreshers.add(() -> {
            Surface surface = shown(painted);
            swatch.setFill(Color.color(paint(surface.red()), paint(surface.green()), paint(surface.blue())));
            seen.setText(TableWords.seenAs(palette(), surface, model.polarity()));
        });
        HBox row = Nodes.row(swatch, fields, Nodes.grow(seen));
        row.setAlignment(Pos.CENTER_LEFT);
        String title = TableWords.painted(painted);
        return Nodes.panel(title.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + title.substring(1), row);
    }

    private Palette palette() {
        return model.draftProperty().get().palette();
    }

    private Surface shown(Palette.Painted painted) {
        return palette().surface(painted);
    }

    private static double channel(Surface surface, int at) {
        return at == 0 ? surface.red() : at == 1 ? surface.green() : surface.blue();
    }

    /** As a screen shows it: what shines is white, and screens are not linear (IEC 61966-2-1, by its plain exponent). */
    private static double paint(double reflectance) {
        return Math.pow(Math.min(1, reflectance), 1 / 2.2);
    }

    private void refresh() {
        refreshers.forEach(Runnable::run);
    }
}
