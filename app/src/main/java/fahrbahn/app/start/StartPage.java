package fahrbahn.app.start;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.FileAsk;
import fahrbahn.app.kit.KeyTaker;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.field.Fields;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** Before a season is open: those used last by number, a new one, one from a file, the demo. */
public final class StartPage extends VBox {
    private static final Logger LOG = Logger.getLogger(StartPage.class.getName());
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm").withZone(ZoneId.systemDefault());

    private final List<Action> actions = new ArrayList<>();
    private final Label told = Nodes.label("", "problem");
    private final TextField name = new TextField();
    private final VBox repair = new VBox();
    private final List<Path> recent;
    private final Choices choices;
    private boolean choosingBackup;

    /** What can be done here. */
    public interface Choices {
        void open(Path file);

        void begin(String name);

        void demo();

        /** A copy of a season takes its place. */
        void bringBack(Path season);

        void salvage(Path damaged);
    }

    public StartPage(List<Path> recent, Choices choices) {
        this.recent = recent;
        this.choices = choices;
        getStyleClass().addAll("main-window", "start-page");
        told.setId("startTold");
        told.setWrapText(true);
        VBox rows = Nodes.column();
        for (int i = 0; i < recent.size(); i++) {
            Path file = recent.get(i);
            rows.getChildren().add(row("recent-" + (i + 1), words(file), digit(i + 1), () -> chosen(file)));
        }
        if (recent.isEmpty()) {
            rows.getChildren().add(Nodes.label("No seasons yet. Begin one, or look at the demo.", "caption"));
        }
        name.setId("newSeasonName");
        Fields.describe(name, "name of the season", "Name of the new season and of its file.");
        name.setPromptText("name of the season, like Spring");
        name.setMaxWidth(340);
        name.setOnAction(e -> {
            if (name.getText().isBlank()) {
                tell("A season needs a name. Type one, then press Enter.");
            } else {
                choices.begin(name.getText());
            }
        });
        name.managedProperty().bind(name.visibleProperty());
        name.setVisible(false);
        VBox last = Nodes.panel("Seasons used last", rows);
        VBox another = Nodes.panel(
                "Another",
                row("newSeason", "Begin a new season", KeyCode.N, this::askName),
                name,
                row("openSeason", "Open a season file", KeyCode.O, () -> choose(choices::open)),
                row("openDemo", "Demo club with a simulated robot", KeyCode.D, choices::demo),
                row("bringBack", "Restore a backup", KeyCode.B, this::askSeason));
        HBox both = Nodes.row(Nodes.grow(last), another);
        another.setMinWidth(USE_PREF_SIZE);
        both.setAlignment(Pos.TOP_LEFT);
        // What has nothing to say takes no room.
        told.managedProperty().bind(told.textProperty().isNotEmpty());
        repair.managedProperty().bind(Bindings.isNotEmpty(repair.getChildren()));
        getChildren().addAll(Nodes.label("Fahrbahn", "start-title"), told, repair, Nodes.grow(both), new RoadAhead());
        repair.getStyleClass().add("column");
        KeyTaker.install(this, this::key);
        setFocusTraversable(true);
    }

    private static KeyCode digit(int number) {
        return KeyCode.getKeyCode(String.valueOf(number));
    }

    private Button row(String id, String words, KeyCode key, Runnable work) {
        Action action = new Action(id, words, key, work);
        action.button().getStyleClass().add("start-row");
        actions.add(action);
        return action.button();
    }

    private static String words(Path file) {
        String plain = file.getFileName().toString().replaceFirst("\\.fahrbahn$", "");
        try {
            Instant changed = Files.getLastModifiedTime(file).toInstant();
            return plain + ", last used " + TIME.format(changed) + "\n" + file.getParent();
        } catch (java.io.IOException gone) {
            LOG.log(Level.INFO, "a season used last", gone);
            return plain;
        }
    }

    /** Says why a season could not be opened, or that one is being opened. */
    public void tell(String words) {
        told.setText(words);
    }

    /** Offers the ways out for a season that is damaged. */
    public void offerRepair(Path damaged) {
        repair.getChildren()
                .setAll(Nodes.panel(
                        "What can be done for " + damaged.getFileName(),
                        row(
                                "salvage",
                                "Save what can be read into a new season",
                                KeyCode.S,
                                () -> choices.salvage(damaged)),
                        row(
                                "bringBackDamaged",
                                "Restore one of its backups",
                                KeyCode.K,
                                () -> choices.bringBack(damaged))));
    }

    private void chosen(Path season) {
        if (choosingBackup) {
            choices.bringBack(season);
        } else {
            choices.open(season);
        }
    }

    private void askSeason() {
        if (recent.size() == 1) {
            choices.bringBack(recent.get(0));
            return;
        }
        choosingBackup = !recent.isEmpty();
        tell(recent.isEmpty() ? "No seasons yet, so no backups." : "Of which season? Press its number, or Esc.");
    }

    private void askName() {
        name.setVisible(true);
        Nodes.writeIn(name);
    }

    private void choose(Consumer<Path> open) {
        FileAsk.open(this, open::accept, new FileChooser.ExtensionFilter("Seasons", "*.fahrbahn", "*.json"));
    }

    private boolean key(KeyEvent event) {
        if (event.isShortcutDown()) {
            return false;
        }
        if (KeyTaker.writesIn(getScene().getFocusOwner())) {
            boolean away = event.getCode() == KeyCode.ESCAPE;
            if (away) {
                name.setVisible(false);
                requestFocus();
            }
            return away;
        }
        if (event.getCode() == KeyCode.ESCAPE && choosingBackup) {
            choosingBackup = false;
            tell("");
            return true;
        }
        return List.copyOf(actions).stream().anyMatch(action -> action.take(event.getCode()));
    }
}
