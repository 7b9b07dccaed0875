package fahrbahn.app.club;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.FileAsk;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.StationView;
import fahrbahn.app.kit.field.Fields;
import fahrbahn.app.season.Sort;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser.ExtensionFilter;

/** The club's list: arrows move over it, one key each takes in hand, adds, renames, copies, retires. */
public final class ClubPage {
    private static final ExtensionFilter SETUPS = new ExtensionFilter("Setups (JSON)", "*.json");

    private static final Map<RobotKind, KeyCode> KIND_KEYS = Map.of(
            RobotKind.EDGE,
            KeyCode.G,
            RobotKind.PAIR,
            KeyCode.P,
            RobotKind.ROW,
            KeyCode.W,
            RobotKind.TRACKS,
            KeyCode.K);

    private final ClubModel model;
    private final ClubLists lists;
    private final VBox typing = new VBox();
    private final VBox about = Nodes.panel("About");
    private final FlowPane kinds = Nodes.flow();
    private TextField newName;
    private final List<Action> actions = new ArrayList<>();

    private final Runnable robotAdded;

    private ClubPage(ClubModel model, Runnable robotAdded) {
        this.model = model;
        this.lists = new ClubLists(model);
        this.robotAdded = robotAdded;
    }

    /** @param robotAdded what comes after a robot has been added */
    public static StationView of(ClubModel model, Runnable robotAdded) {
        return new ClubPage(model, robotAdded).build();
    }

    private StationView build() {
        typing.getStyleClass().add("column");
        FlowPane one = Nodes.flow(
                button("clubTake", "Select", KeyCode.ENTER, model::take),
                button("clubAdd", "Add", KeyCode.A, this::add),
                button("clubRename", "Rename", KeyCode.R, this::rename),
                button("clubCopy", "Copy", KeyCode.C, () -> model.copy(true)),
                button("clubCopyBare", "Copy without measurements", KeyCode.B, () -> model.copy(false)),
                button("clubRetire", "Archive / restore", KeyCode.T, model::retire));
        FlowPane two = Nodes.flow(
                button("clubShowRetired", "Show archived", KeyCode.H, model::showRetired),
                button("clubTeam", "Move to next team", KeyCode.M, model::nextTeam),
                button("clubImport", "Robot from a setup file", KeyCode.I, this::importSetup),
                button("clubExport", "Selected robot to a setup file", KeyCode.O, this::exportSetup));
        newName = field("clubNewName", "");
        newName.setPromptText("name of the robot");
        newName.setOnAction(e -> lists.getParent().requestFocus());
        for (RobotKind kind : RobotKind.values()) {
            kinds.getChildren()
                    .add(button("kind-" + kind.name(), kind.words(), KIND_KEYS.get(kind), () -> addRobot(kind)));
        }
        step("clubUp", "The entry above", KeyCode.UP, -1);
        step("clubDown", "The entry below", KeyCode.DOWN, 1);
        actions.add(hidden("clubLeft", "The list to the left", KeyCode.LEFT, () -> leap(-1)));
        actions.add(hidden("clubRight", "The list to the right", KeyCode.RIGHT, () -> leap(1)));
        about.setId("clubAbout");
        model.entriesProperty().addListener(o -> tell());
        model.cursorProperty().addListener(o -> tell());
        about.sceneProperty().addListener(o -> tell()); // whenever it is shown: runs are logged elsewhere
        tell();
        Label hint = Nodes.wrapped(
                "Arrows move through the list. Archived entries are hidden here and in choices until H shows them; nothing is ever deleted.",
                "caption");
        VBox content = Nodes.column(one, two, typing, lists, Nodes.grow(about), hint);
        return new StationView(content, actions, nowNs -> {});
    }

    private Button button(String id, String words, KeyCode key, Runnable work) {
        Action action = new Action(id, words, key, work);
        actions.add(action);
        return action.button();
    }

    private void step(String id, String words, KeyCode key, int by) {
        actions.add(
                hidden(id, words, key, () -> model.point(model.cursorProperty().get() + by)));
    }

    private static Action hidden(String id, String words, KeyCode key, Runnable work) {
        Action action = new Action(id, words, key, work);
        action.alwaysThere();
        return action;
    }

    /** What the season holds of the entry under the cursor. */
    private void tell() {
        about.getChildren().clear();
        model.here().ifPresent(entry -> {
            about.getChildren().add(Nodes.wrapped("About " + entry.name(), "panel-title"));
            ClubWords.about(entry, model.about(entry))
                    .forEach(words -> about.getChildren().add(Nodes.wrapped(words, "reason")));
        });
    }

    /** To the first of the list beside. */
    private void leap(int by) {
        Sort[] sorts = Sort.values();
        model.pointAt(sorts[Math.floorMod(model.sortProperty().get().ordinal() + by, sorts.length)]);
    }

    private void add() {
        Sort sort = model.sortProperty().get();
        if (sort != Sort.ROBOT) {
            ask("Name of the new " + sort.word(), "", name -> model.add(sort, name));
            return;
        }
        newName.clear();
        typing.getChildren()
                .setAll(Nodes.panel(
                        "New robot: type a name, press Enter, then choose its sensors. Numbers start as typical values.",
                        newName,
                        kinds));
        Nodes.writeIn(newName);
    }

    private void addRobot(RobotKind kind) {
        model.addRobot(kind, newName.getText());
        done();
        robotAdded.run();
    }

    private void rename() {
        model.here().ifPresent(e -> ask("Another name for " + e.name(), e.name(), model::rename));
    }

    private void ask(String words, String begin, Consumer<String> set) {
        TextField field = field("clubName", begin);
        field.setOnAction(e -> {
            set.accept(field.getText());
            done();
        });
        typing.getChildren().setAll(Nodes.panel(words + ", then Enter", field));
        Nodes.writeIn(field);
    }

    private TextField field(String id, String begin) {
        TextField field = new TextField(begin);
        field.setId(id);
        field.setMaxWidth(340);
        Fields.describe(field, "name", "Its name everywhere in the season; a new name changes nothing else.");
        field.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                done();
            }
        });
        return field;
    }

    private void done() {
        typing.getChildren().clear();
        lists.getParent().requestFocus();
    }

    private void importSetup() {
        FileAsk.open(lists, model::importSetup, SETUPS);
    }

    private void exportSetup() {
        FileAsk.save(lists, model.inHand(Sort.ROBOT).name() + ".setup.json", model::exportSetup, SETUPS);
    }
}
