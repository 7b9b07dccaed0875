package fahrbahn.app.runs.plan;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.FileAsk;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.SideBySide;
import fahrbahn.app.kit.WrappedCell;
import fahrbahn.app.kit.field.ChoiceField;
import fahrbahn.app.kit.field.Fields;
import fahrbahn.app.kit.field.NumberField;
import fahrbahn.app.runs.plan.PlanModel.Aim;
import fahrbahn.app.runs.plan.PlanModel.OnItsWay;
import fahrbahn.app.season.Entry;
import fahrbahn.core.plan.Block;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.scene.control.Label;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser.ExtensionFilter;

/** The plan of trials: what is wanted, the clock of the minutes left, and block after block. */
public final class PlanPage {
    private static final double LEAST_SHARE = 0.85;
    private static final double MAIN_SHARE = 0.53;
    private static final double LEAST_EM = 66;

    private final PlanModel model;
    private final Label clock = Nodes.label("", "minutes-left");
    private final Label verdict = Nodes.wrapped("", "bench-result");
    private final TableView<Block> table = new TableView<>();
    private final VBox robots = Nodes.column();
    private final Label leftOut = Nodes.wrapped("", "reason");
    private final Map<PlanItem, NumberField> wishes = new EnumMap<>(PlanItem.class);
    private List<Entry> shownRobots = List.of();
    private final Map<Entry, ChoiceField<Aim>> aims = new LinkedHashMap<>();
    private boolean showing;

    public PlanPage(PlanModel model) {
        this.model = model;
        clock.setId("minutesLeft");
        verdict.setId("planVerdict");
        leftOut.setId("planLeftOut");
        robots.setId("planRobots");
        table.setId("planBlocks");
        table.setAccessibleText("The blocks of the plan, in the order of time");
        table.setPlaceholder(Nodes.wrapped("No plan yet: choose what each robot runs, then press B.", "caption"));
        table.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        column("", 28, block -> model.done(block) ? "x" : "");
        column("at", 72, model::clock);
        column("where", 108, Block::table);
        column("who", 112, PlanWords::who);
        column("what", 210, PlanWords::what);
    }

    private void column(String title, double width, Function<Block, String> text) {
        TableColumn<Block, String> column = new TableColumn<>(title);
        column.setCellValueFactory(cell -> new ReadOnlyStringWrapper(text.apply(cell.getValue())));
        column.setCellFactory(c -> new WrappedCell<>());
        column.setPrefWidth(width);
        column.setMinWidth(LEAST_SHARE * width);
        column.setSortable(false);
        table.getColumns().add(column);
    }

    public Pages.Page page() {
        Action begin = new Action("planBegin", "Begin", KeyCode.B, model::begin);
        Action done = new Action("planDone", "Done", KeyCode.D, model::done);
        Action up = new Action("planUp", "Before", KeyCode.UP, () -> model.move(-1));
        Action down = new Action("planDown", "Next", KeyCode.DOWN, () -> model.move(1));
        Action again = new Action("planAgain", "Plan the rest again", KeyCode.Y, model::again);
        Action end = new Action("planEnd", "End the plan", KeyCode.E, model::end);
        Action save = new Action("planSave", "Save", KeyCode.V, this::save);
        table.getSelectionModel().selectedIndexProperty().addListener(o -> {
            if (!showing && table.getSelectionModel().getSelectedIndex() >= 0) {
                model.takeRow(table.getSelectionModel().getSelectedIndex());
            }
        });
        model.onItsWayProperty().addListener(o -> refresh(done, again, end, save));
        model.rowProperty().addListener(o -> select());
        VBox main = Nodes.column(
                Nodes.row(clock, Nodes.grow(verdict)),
                Nodes.grow(table),
                Nodes.flow(up.button(), down.button(), done.button(), again.button(), end.button(), save.button()),
                Nodes.wrapped(PlanWords.CAUTION, "caution"));
        VBox side = Nodes.column(
                Nodes.panel("What each robot runs", robots), Nodes.panel("How much time", wishes(begin)), leftOut);
        model.wishProperty().addListener(o -> showWishes());
        showWishes();
        refresh(done, again, end, save);
        return new Pages.Page(
                new SideBySide(main, side, MAIN_SHARE, LEAST_EM),
                List.of(begin, done, up, down, again, end, save),
                nowNs -> {
                    model.watch();
                    showRobots();
                    showClock();
                });
    }

    private FlowPane wishes(Action begin) {
        FlowPane fields = Nodes.flow();
        fields.getStyleClass().add("by-bottom");
        for (PlanItem item : PlanItem.values()) {
            NumberField field = new NumberField(
                    "plan-" + item.name().toLowerCase(Locale.ROOT).replace('_', '-'),
                    PlanWords.name(item),
                    PlanWords.what(item),
                    v -> model.change(item, v));
            wishes.put(item, item.mayBeEmpty() ? field.orNothing() : field);
            fields.getChildren().add(field);
            if (item == PlanItem.MINUTES) {
                fields.getChildren().add(tables());
            }
        }
        fields.getChildren().add(begin.button());
        return fields;
    }

    private VBox tables() {
        TextField tables = new TextField();
        tables.setId("planTables");
        tables.setAccessibleText(PlanWords.TABLES);
        tables.setPromptText("the selected one");
        tables.setPrefColumnCount(14);
        Fields.describe(tables, PlanWords.TABLES, PlanWords.WHAT_TABLES);
        tables.textProperty().addListener(o -> model.tables(tables.getText()));
        Label name = Nodes.wrapped(PlanWords.TABLES, "caption");
        name.setLabelFor(tables);
        return new VBox(name, tables);
    }

    private void showWishes() {
        wishes.forEach((item, field) -> field.show(model.wishProperty().get().of(item)));
    }

    private void showRobots() {
        List<Entry> now = model.robots();
        if (!now.equals(shownRobots)) {
            shownRobots = now;
            listRobots(now);
        }
        aims.forEach((robot, aim) -> aim.show(model.aim(robot)));
    }

    private void listRobots(List<Entry> now) {
        robots.getChildren().clear();
        aims.clear();
        for (Entry robot : now) {
            ChoiceField<Aim> aim = new ChoiceField<>(
                    "planAim-" + (robots.getChildren().size() + 1),
                    robot.team().isEmpty() ? robot.name() : robot.name() + " of " + robot.team(),
                    "What this robot runs in the plan.",
                    Aim.values(),
                    Aim::word,
                    chosen -> model.aim(robot.id(), chosen));
            aims.put(robot, aim);
            robots.getChildren().add(aim.inARow());
        }
    }

    private void showClock() {
        clock.setText(model.left());
        Nodes.showIf(clock, !clock.getText().isEmpty());
        verdict.setText(model.verdict());
    }

    private void refresh(Action... withAPlan) {
        Optional<OnItsWay> plan = model.onItsWayProperty().get();
        for (Action action : withAPlan) {
            action.button().setDisable(plan.isEmpty());
        }
        showing = true;
        table.getItems().setAll(plan.map(OnItsWay::blocks).orElse(List.of()));
        showing = false;
        leftOut.setText(plan.map(p -> PlanWords.leftOut(p.left())).orElse(""));
        Nodes.showIf(leftOut, !leftOut.getText().isEmpty());
        showClock();
        select();
    }

    private void select() {
        showing = true;
        int row = model.rowProperty().get();
        if (row < table.getItems().size()) {
            table.getSelectionModel().clearAndSelect(row);
            table.scrollTo(Math.max(0, row - 3));
        }
        showing = false;
    }

    private void save() {
        FileAsk.save(
                table,
                "plan.pdf",
                model::save,
                new ExtensionFilter("For the wall (PDF)", "*.pdf"),
                new ExtensionFilter("Calendar (ICS)", "*.ics"));
    }
}
