package fahrbahn.app.table;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.FileAsk;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.field.NumberField;
import fahrbahn.core.mat.MatSheet;
import fahrbahn.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressIndicator;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser.ExtensionFilter;

/** A mat from a picture: its size, its colours, its line. */
final class MatPage {
    private static final String NONE =
            "Import a picture of a mat: it becomes a table. Then pick its line, the background and the"
                    + " start of the line.";

    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    /** What a click on the mat does. */
    private enum Pointing {
        LINE("1. the line"),
        GROUND("2. the background"),
        FOLLOW("3. start of the line");

        private final String words;

        Pointing(String words) {
            this.words = words;
        }
    }

    private final MatModel model;
    private final MatCanvas canvas;
    private final HBox modes = Nodes.row();
    private final NumberField width;
    private final Label size = Nodes.label("", "caption");
    private final Label found = Nodes.label("", "reason");
    private final Region lineSwatch = swatch("lineColour");
    private final Region groundSwatch = swatch("groundColour");
    private Pointing pointing = Pointing.LINE;

    MatPage(MatModel model) {
        this.model = model;
        this.canvas = new MatCanvas(model, this::pointAt);
        this.width = new NumberField(
                "matWidth",
                "mat width, mm",
                "Width of the whole mat, as printed on it or by tape measure.",
                model::setWidthMm);
    }

    private static Region swatch(String id) {
        Region swatch = new Region();
        swatch.setId(id);
        swatch.getStyleClass().add("swatch");
        return swatch;
    }

    Pages.Page page() {
        Action open = new Action("importMat", "Import a mat (PNG, JPEG, SVG, PDF)", KeyCode.I, this::choose);
        Action use = new Action("useMatRadius", "Set the robot up for its tightest bend", KeyCode.U, model::useRadius);
        Action point = new Action("pointHere", "Pick here", KeyCode.P, canvas::pointHere);
        Action stop = new Action("stopMat", "Stop", KeyCode.S, model::cancel);
        ProgressIndicator busy = new ProgressIndicator();
        busy.setPrefSize(26, 26);
        busy.visibleProperty().bind(model.workingProperty());
        stop.button().disableProperty().bind(model.workingProperty().not());
        for (Pointing each : Pointing.values()) {
            Button chip = new Button(each.words);
            chip.setId("point-" + each.name().toLowerCase(java.util.Locale.ROOT));
            chip.getStyleClass().add("chip");
            chip.setOnAction(e -> point(each));
            modes.getChildren().add(chip);
        }
        found.setId("matFound");
        found.setWrapText(true);
        found.setMinHeight(Region.USE_PREF_SIZE);
        VBox panel = Nodes.panel(
                "The mat",
                Nodes.flow(open.button(), width, size, busy, stop.button()),
                Nodes.flow(
                        Nodes.label("Picking", "caption"),
                        modes,
                        lineSwatch,
                        groundSwatch,
                        point.button(),
                        Nodes.label("arrows move the cross-hair; Shift = bigger steps", "caption")),
                Nodes.grow(canvas),
                found,
                Nodes.row(use.button()));
        model.sheetProperty().addListener(o -> refresh());
        model.picture().valueProperty().addListener(o -> refresh());
        point(Pointing.LINE);
        refresh();
        return new Pages.Page(Nodes.column(Nodes.grow(panel)), List.of(open, use, point, stop));
    }

    private void point(Pointing each) {
        pointing = each;
        for (int i = 0; i < modes.getChildren().size(); i++) {
            modes.getChildren().get(i).pseudoClassStateChanged(CHOSEN, i == each.ordinal());
        }
    }

    private void pointAt(double xMm, double yMm) {
        BiConsumer<Double, Double> what = switch (pointing) {
            case LINE -> model::pickLine;
            case GROUND -> model::pickGround;
            case FOLLOW -> model::follow;
        };
        what.accept(xMm, yMm);
        point(pointing == Pointing.LINE ? Pointing.GROUND : Pointing.FOLLOW);
    }

    private void choose() {
        FileAsk.open(
                canvas,
                model::open,
                new ExtensionFilter("Pictures of a mat", "*.png", "*.jpg", "*.jpeg", "*.svg", "*.pdf"));
    }

    private void refresh() {
        Optional<MatSheet> mat = model.sheetProperty().get();
        width.setDisable(mat.isEmpty());
        mat.ifPresent(m -> width.show(Math.round(m.widthMm() * 100) / 100.0));
        size.setText(mat.map(m -> "x " + Words.millimetres(m.heightMm()) + ", "
                        + Words.number(m.pixelMm(), 2) + " mm a pixel"
                        + (m.sized() ? "" : ": picture has no size, type it"))
                .orElse(""));
        paint(lineSwatch, mat.flatMap(MatSheet::lineRgb), "line");
        paint(groundSwatch, mat.flatMap(MatSheet::groundRgb), "ground");
        found.setText(mat.map(m -> m.traced().map(MatWords::of).orElse(MatWords.hint(m)))
                .orElse(NONE));
        canvas.requestLayout();
    }

    private static void paint(Region swatch, Optional<Integer> rgb, String word) {
        swatch.setVisible(rgb.isPresent());
        rgb.ifPresent(c -> swatch.setStyle("-fx-background-color: #%06x".formatted(c)));
        swatch.setAccessibleText("colour of the " + word);
    }
}
