package fahrbahn.app.kit;

import java.io.File;
import java.nio.file.Path;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.stage.FileChooser;
import javafx.stage.FileChooser.ExtensionFilter;
import javafx.stage.Window;

/** The one way to ask for a file: by the system's own dialog. Who says no is not asked again. */
public final class FileAsk {
    private static final String STAND_IN = "fahrbahn.fileAsk";

    private FileAsk() {}

    /** @param from in whose window it is asked @param then takes the file that was chosen */
    public static void open(Node from, Consumer<Path> then, ExtensionFilter... kinds) {
        Window window = from.getScene().getWindow();
        ask(window, new FileChooser(), chooser -> chooser.showOpenDialog(window), then, kinds);
    }

    /** @param name as proposed */
    public static void save(Node from, String name, Consumer<Path> then, ExtensionFilter... kinds) {
        Window window = from.getScene().getWindow();
        FileChooser chooser = new FileChooser();
        chooser.setInitialFileName(name);
        ask(window, chooser, c -> c.showSaveDialog(window), then, kinds);
    }

    /** Answers in place of the dialog, which belongs to the system and cannot be driven: for who has no hands. */
    public static void standIn(Window window, Function<FileChooser, File> answer) {
        window.getProperties().put(STAND_IN, answer);
    }

    @SuppressWarnings("unchecked") // only standIn puts it there
    private static void ask(
            Window window,
            FileChooser chooser,
            Function<FileChooser, File> dialog,
            Consumer<Path> then,
            ExtensionFilter... kinds) {
        chooser.getExtensionFilters().addAll(kinds);
        Object standIn = window.getProperties().get(STAND_IN);
        File file = standIn == null ? dialog.apply(chooser) : ((Function<FileChooser, File>) standIn).apply(chooser);
        if (file != null) {
            then.accept(file.toPath());
        }
    }
}
