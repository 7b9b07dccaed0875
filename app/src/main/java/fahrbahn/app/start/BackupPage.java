package fahrbahn.app.start;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.KeyTaker;
import fahrbahn.app.kit.Nodes;
import fahrbahn.store.season.Backups;
import fahrbahn.words.Words;
import java.nio.file.Path;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;

/** The backups of a season with what is in each; one takes the season's place. */
public final class BackupPage extends VBox {
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm").withZone(ZoneId.systemDefault());

    private final List<Action> actions = new ArrayList<>();

    /**
     * @param chosen brings it back
     * @param away back to the start page
     */
    public BackupPage(Path season, List<BackupList.Choice> choices, Consumer<Backups.Backup> chosen, Runnable away) {
        getStyleClass().addAll("main-window", "start-page");
        VBox rows = Nodes.column();
        for (int i = 0; i < choices.size(); i++) {
            BackupList.Choice choice = choices.get(i);
            Button row = row(
                    "backup-" + (i + 1),
                    words(choice),
                    KeyCode.getKeyCode(String.valueOf(i + 1)),
                    () -> chosen.accept(choice.backup()));
            row.setDisable(choice.look() == null);
            rows.getChildren().add(row);
        }
        if (choices.isEmpty()) {
            rows.getChildren()
                    .add(Nodes.label(
                            "No backups yet. One is made when a changed season is opened or closed.", "caption"));
        }
        Label what = Nodes.label(
                "Choose a backup to restore and open it. The present season becomes a backup first.", "caption");
        getChildren()
                .addAll(
                        Nodes.label("Fahrbahn", "start-title"),
                        Nodes.grow(Nodes.panel("Backups of " + season.getFileName(), what, rows)),
                        row("backupsAway", "Back to the start page", KeyCode.ESCAPE, away),
                        new RoadAhead());
        KeyTaker.install(
                this,
                event -> !event.isShortcutDown()
                        && List.copyOf(actions).stream().anyMatch(action -> action.take(event.getCode())));
        setFocusTraversable(true);
    }

    private Button row(String id, String words, KeyCode key, Runnable work) {
        Action action = new Action(id, words, key, work);
        action.button().getStyleClass().add("start-row");
        actions.add(action);
        return action.button();
    }

    private static String words(BackupList.Choice choice) {
        String made = TIME.format(choice.backup().at());
        Backups.Look look = choice.look();
        if (look == null) {
            return made + ": cannot be read";
        }
        return made + ": " + Words.count(look.robots(), "robot", "robots") + ", "
                + Words.count(look.tables(), "table", "tables")
                + ", " + Words.count(look.captures(), "capture", "captures") + ", "
                + Words.count(look.runs(), "run", "runs")
                + look.lastChange()
                        .map(at -> ", last changed " + TIME.format(at))
                        .orElse("");
    }
}
