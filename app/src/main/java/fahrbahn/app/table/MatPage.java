package fahrbahn.app.table;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.NumberField;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.words.Words;
import java.io.File;
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
import javafx.stage.FileChooser;

/** A mat from a picture: its size, its colours, its line. */
final class MatPage {
    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    /** What a click on the mat does. */
    private enum Pointing {
        LINE("1. the line"),
        GROUND("2. the ground beside it"),
        FOLLOW("3. where to follow from");

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
        this.width = new NumberField("matWidth", "mat width, mm", "Width of the whole mat", model::setWidthMm);
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
                Nodes.row(open.button(), width, size, Nodes.spring(), busy, stop.button()),
                Nodes.row(Nodes.label("A click points at", "caption"), modes, lineSwatch, groundSwatch),
                Nodes.grow(canvas),
                found,
                Nodes.row(use.button()));
        model.importedProperty().addListener(o -> refresh());
        model.tracedProperty().addListener(o -> refresh());
        point(Pointing.LINE);
        refresh();
        return new Pages.Page("Mat", Nodes.column(Nodes.grow(panel)), List.of(open, use, stop));
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
        FileChooser chooser = new FileChooser();
        chooser.setTitle("A picture of a mat");
        chooser.getExtensionFilters()
                .add(new FileChooser.ExtensionFilter("Pictures", "*.png", "*.jpg", "*.jpeg", "*.svg", "*.pdf"));
        File file = chooser.showOpenDialog(canvas.getScene().getWindow());
        if (file != null) {
            model.open(file.toPath());
        }
    }

    private void refresh() {
        Optional<MatModel.Imported> mat = model.importedProperty().get();
        width.setDisable(mat.isEmpty());
        mat.ifPresent(m -> width.show(Math.round(m.widthMm() * 100) / 100.0));
        size.setText(mat.map(m -> "x " + Words.millimetres(m.heightMm()) + ", "
                        + Words.number(m.widthMm() / m.picture().columns(), 2) + " mm a pixel"
                        + (m.sized() ? "" : ": the picture says no size, type it"))
                .orElse(""));
        paint(lineSwatch, mat.flatMap(MatModel.Imported::line), "line");
        paint(groundSwatch, mat.flatMap(MatModel.Imported::ground), "ground");
        found.setText(model.tracedProperty().get().map(MatModel::words).orElse(hint(mat)));
        canvas.requestLayout();
    }

    private static String hint(Optional<MatModel.Imported> mat) {
        if (mat.isEmpty()) {
            return "Import a picture of the mat. Then click on its line, on the ground beside it, and on the line where to begin.";
        }
        if (mat.get().line().isEmpty()) {
            return "Click on the line: its colour tells it from the ground.";
        }
        return mat.get().ground().isEmpty()
                ? "Click on the ground beside the line."
                : "Click on the line where to begin: it is followed from there.";
    }

    private static void paint(Region swatch, Optional<Integer> rgb, String word) {
        swatch.setVisible(rgb.isPresent());
        rgb.ifPresent(c -> swatch.setStyle("-fx-background-color: #%06x".formatted(c)));
        swatch.setAccessibleText("colour of the " + word);
    }
}
