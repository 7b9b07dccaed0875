package fahrbahn.app.shell;

import fahrbahn.app.kit.FileAsk;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.season.Saving;
import fahrbahn.app.start.Remembered.What;
import fahrbahn.store.season.Ledger;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** The foot of the road: the season's file, steps back and forth, and the looks. */
final class Foot extends VBox {
    private static final int MOST_STEPS_SHOWN = 20;

    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("HH:mm:ss").withZone(ZoneId.systemDefault());

    private final Workshop workshop;
    private final MenuButton notices;

    /**
     * @param toggle switches a look of the window, day or large, on or off
     * @param leave back to the start page
     */
    Foot(Workshop workshop, Consumer<What> toggle, Runnable leave) {
        this.workshop = workshop;
        getStyleClass().addAll("column", "foot");
        Button undo = new Button("Undo");
        undo.setId("undo");
        undo.setOnAction(e -> workshop.undo());
        Button redo = new Button("Redo");
        redo.setId("redo");
        redo.setOnAction(e -> workshop.redo());
        Button day = new Button("Day");
        day.setId("day");
        day.setOnAction(e -> toggle.accept(What.DAY));
        Button large = new Button("Large");
        large.setId("large");
        large.setOnAction(e -> toggle.accept(What.LARGE));
        Label file = Nodes.label("", "caption");
        file.textProperty()
                .bind(workshop.season()
                        .pathProperty()
                        .map(path -> path.getFileName().toString()));
        Button save = new Button("Copy");
        save.setId("saveAs");
        Nodes.hint(save, "Save a copy of the season (Ctrl+S)");
        save.setOnAction(e -> saveAs());
        Label unsaved = Nodes.label("", "problem");
        unsaved.setId("unsaved");
        unsaved.textProperty().bind(workshop.savingProperty().map(Foot::words));
        unsaved.managedProperty().bind(unsaved.visibleProperty());
        unsaved.visibleProperty().bind(unsaved.textProperty().isNotEmpty());
        save.textProperty().bind(workshop.savingProperty().map(state -> state.fine() ? "Copy" : "Save elsewhere"));
        Label turned = Nodes.label("", "caption");
        turned.setId("turned");
        turned.setMaxWidth(186);
        turned.textProperty().bind(workshop.turnedProperty());
        turned.managedProperty().bind(turned.textProperty().isNotEmpty());
        Nodes.hint(turned, workshop.turnedProperty()::get);
        notices = notices();
        Button seasons = new Button("Seasons");
        seasons.setId("seasons");
        seasons.setOnAction(e -> leave.run());
        getChildren()
                .addAll(
                        unsaved,
                        Nodes.row(file, Nodes.spring(), seasons),
                        Nodes.flow(undo, redo, steps()),
                        turned,
                        Nodes.flow(day, large, save, notices));
    }

    private static String words(Saving.State state) {
        return state.fine() ? "" : state.unsaved() == 0 ? "Not safe on disk" : state.unsaved() + " not saved";
    }

    /** Asks for a name and saves the season under it. */
    void saveAs() {
        FileAsk.save(
                this,
                "copy of " + workshop.season().pathProperty().get().getFileName(),
                workshop::saveAs,
                new FileChooser.ExtensionFilter("Seasons", "*.fahrbahn"));
    }

    /** Opens the list of what was told. */
    void showNotices() {
        notices.show();
    }

    private MenuButton notices() {
        MenuButton told = new MenuButton("F6");
        told.setId("notices");
        Nodes.hint(told, "Messages, newest first");
        told.setOnShowing(e -> {
            told.getItems().clear();
            for (Notices.Notice one : workshop.notices().told()) {
                told.getItems().add(new MenuItem(TIME.format(one.at()) + "  " + one.words()));
            }
            if (told.getItems().isEmpty()) {
                told.getItems().add(new MenuItem("No messages yet"));
            }
        });
        told.getItems().add(new MenuItem("")); // without an item it would not open
        return told;
    }

    /** The list of steps in words; choosing one takes back everything down to it. */
    private MenuButton steps() {
        MenuButton steps = new MenuButton("Steps");
        steps.setId("steps");
        steps.setOnShowing(e -> {
            steps.getItems().clear();
            int back = 0;
            for (Ledger.Labelled step : workshop.season().ledger().undoable()) {
                if (back++ == MOST_STEPS_SHOWN) {
                    break;
                }
                int times = back;
                MenuItem item = new MenuItem(step.label());
                item.setOnAction(chosen -> {
                    for (int i = 0; i < times; i++) {
                        workshop.undo();
                    }
                });
                steps.getItems().add(item);
            }
            if (steps.getItems().isEmpty()) {
                steps.getItems().add(new MenuItem("Nothing to undo"));
            }
        });
        steps.getItems().add(new MenuItem("")); // without an item it would not open
        return steps;
    }
}
