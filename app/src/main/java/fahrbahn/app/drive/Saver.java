package fahrbahn.app.drive;

import fahrbahn.app.kit.FileAsk;
import fahrbahn.pen.Sheet;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.Node;
import javafx.stage.FileChooser.ExtensionFilter;

/** Asks where to, and saves what a page shows: as it is seen, as drawings, and the ticks of a run as a table. */
final class Saver {
    private Saver() {}

    /** @param traces whether there are ticks to be saved @param sheets what there is to be drawn */
    static void save(DriveModel model, Node page, String name, boolean traces, Supplier<List<Sheet>> sheets) {
        Stream<ExtensionFilter> drawn = Stream.of(
                new ExtensionFilter("What is seen (PNG)", "*.png"),
                new ExtensionFilter("Drawings (PDF, SVG)", "*.pdf", "*.svg"));
        Stream<ExtensionFilter> ticks =
                traces ? Stream.of(new ExtensionFilter("Every tick (CSV)", "*.csv")) : Stream.empty();
        FileAsk.save(
                page,
                name,
                file -> write(model, page, file, sheets),
                Stream.concat(ticks, drawn).toArray(ExtensionFilter[]::new));
    }

    static void write(DriveModel model, Node page, Path file, Supplier<List<Sheet>> sheets) {
        String ending = file.getFileName().toString().toLowerCase(Locale.ROOT);
        if (ending.endsWith(".csv")) {
            model.driveProperty().get().ifPresent(run -> model.files().traces(file, run));
        } else if (ending.endsWith(".png")) {
            model.files().picture(file, SwingFXUtils.fromFXImage(page.snapshot(null, null), null));
        } else {
            model.files().drawing(file, sheets.get());
        }
    }
}
