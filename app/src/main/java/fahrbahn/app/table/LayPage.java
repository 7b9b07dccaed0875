package fahrbahn.app.table;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.FileAsk;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.SideBySide;
import fahrbahn.app.kit.field.Fields;
import fahrbahn.app.kit.field.NumberField;
import fahrbahn.app.kit.field.Spoken;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.PartShapes;
import fahrbahn.core.path.Pose;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.CourseFigures;
import fahrbahn.core.table.Draft;
import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser.ExtensionFilter;

/** A course laid from parts. */
final class LayPage {
    private static final double QUARTER = Math.PI / 2;
    private static final ExtensionFilter COURSES = new ExtensionFilter("Courses (JSON, SVG)", "*.json", "*.svg");

    private final TableModel model;
    private final CourseEditor editor;
    private final PartPanel part;
    private final List<Action> actions = new ArrayList<>();
    private final List<NumberField> tableFields = new ArrayList<>();
    private final Label figures = Nodes.label("", "reason");
    private double closingRadiusMm = 200;

    LayPage(TableModel model) {
        this.model = model;
        this.editor = new CourseEditor(model);
        this.part = new PartPanel(model);
    }

    Pages.Page page() {
        figures.setId("courseFigures");
        figures.setWrapText(true);
        figures.setMinHeight(Region.USE_PREF_SIZE);
        VBox right = Nodes.column(
                palette(),
                part.build(
                        action("mirrorPart", "Other side", KeyCode.M, this::mirror)
                                .button(),
                        action("removePart", "Remove", KeyCode.DELETE, model::remove)
                                .button()),
                ends(),
                table());
        VBox left = Nodes.column(
                Nodes.grow(Nodes.panel("From above", Nodes.grow(editor), figures)),
                Nodes.row(
                        startingPoints(),
                        action("clearTable", "Empty table", KeyCode.Z, model::clear)
                                .button(),
                        Nodes.spring(),
                        action("openCourse", "Open", KeyCode.O, this::open).button(),
                        action("saveCourse", "Save", KeyCode.K, this::save).button()));
        model.draftProperty().addListener(o -> refresh());
        refresh();
        return new Pages.Page(new SideBySide(left, right, 0.55, 60), actions);
    }

    private Action action(String id, String words, KeyCode key, Runnable work) {
        Action action = new Action(id, words, key, work);
        actions.add(action);
        return action;
    }

    private VBox palette() {
        FlowPane flow = new FlowPane();
        flow.getStyleClass().add("chips");
        addPart(flow, "Straight", KeyCode.S, () -> new Part.Straight(300));
        addPart(flow, "Bend", KeyCode.B, () -> new Part.Bend(200, QUARTER));
        addPart(flow, "S-bend", KeyCode.W, () -> new Part.SwingOver(200, QUARTER / 2));
        addPart(flow, "Corner", KeyCode.C, () -> new Part.RightAngle(Part.Turn.LEFT, 100));
        addPart(flow, "Crossing", KeyCode.X, () -> new Part.Crossing(100, Part.Turn.STRAIGHT, true));
        addPart(flow, "Gap", KeyCode.G, () -> new Part.Gap(60));
        addPart(flow, "Bump", KeyCode.P, () -> new Part.Bump(60, 5));
        addPart(flow, "Ramp", KeyCode.R, () -> new Part.Ramp(250, Math.toRadians(8)));
        addPart(flow, "Crease", KeyCode.F, () -> new Part.Crease(30, 1.5));
        addPart(flow, "Obstacle", KeyCode.V, () -> new Part.Obstacle(300, 40));
        addPart(flow, "Shiny strip", KeyCode.Y, () -> new Part.EntryStrip(25));
        addPart(flow, "Stop strip", KeyCode.T, () -> new Part.StopStrip(40));
        addPart(flow, "End", KeyCode.E, () -> new Part.End(150));
        return Nodes.panel("Add after the selected piece", flow);
    }

    private void addPart(FlowPane flow, String words, KeyCode key, Supplier<Part> part) {
        flow.getChildren()
                .add(action("lay" + words.replace(" ", ""), words, key, () -> {
                            model.add(part.get());
                            editor.requestFocus();
                        })
                        .button());
    }

    private VBox ends() {
        NumberField radius =
                new NumberField("closingRadius", "radius, mm", "Radius of the bends that close the loop.", v -> {
                    fahrbahn.core.check.Check.positive("radius", v);
                    closingRadiusMm = v;
                });
        radius.show(closingRadiusMm);
        return Nodes.panel(
                "Whole course",
                Nodes.row(
                        action("closeCourse", "Close the loop / open it", KeyCode.H, () -> model.close(closingRadiusMm))
                                .button(),
                        radius,
                        action("useCourseRadius", "Set robot up for it", KeyCode.U, model::useRadius)
                                .button()));
    }

    private void mirror() {
        int chosen = model.chosenProperty().get();
        if (chosen >= 0) {
            model.reshape(
                    PartShapes.mirrored(model.draftProperty().get().parts().get(chosen)));
        }
    }

    private interface With {
        Draft apply(Draft draft, double value);
    }

    private VBox table() {
        FlowPane flow = new FlowPane(
                tableField(
                        "tableWidth",
                        "table x",
                        "Length of the table along x, its long side, by tape measure.",
                        (d, v) -> d.withTable(v, d.heightMm())),
                tableField(
                        "tableHeight",
                        "table y",
                        "Length of the table along y, its short side, by tape measure.",
                        (d, v) -> d.withTable(d.widthMm(), v)),
                tableField(
                        "startX",
                        "start x",
                        "Where the line begins, from the left side of the table.",
                        (d, v) -> d.withStart(
                                new Pose(v, d.start().yMm(), d.start().headingRad()))),
                tableField(
                        "startY",
                        "start y",
                        "Where the line begins, from the near side of the table.",
                        (d, v) -> d.withStart(
                                new Pose(d.start().xMm(), v, d.start().headingRad()))),
                tableField(
                        "startHeading",
                        "facing, deg",
                        "Direction in which it begins: 0 along x, counter-clockwise.",
                        (d, v) ->
                                d.withStart(new Pose(d.start().xMm(), d.start().yMm(), Math.toRadians(v)))));
        flow.getStyleClass().addAll("fields", "narrow");
        return Nodes.panel("Table and start, mm", flow);
    }

    private NumberField tableField(String id, String words, String term, With with) {
        NumberField field = new NumberField(id, words, term, v -> model.type(draft -> with.apply(draft, v)));
        tableFields.add(field);
        return field;
    }

    private ComboBox<Course> startingPoints() {
        ComboBox<Course> box = new ComboBox<>();
        box.setId("startingPoint");
        box.setAccessibleText("Start from an example");
        box.setPromptText("Begin with");
        Fields.describe(box, "begin with", "An example course, on a new table.");
        box.setConverter(new Spoken<>(Course::name));
        box.getItems().setAll(model.startingPoints());
        box.setOnAction(e -> {
            if (box.getValue() != null) {
                model.begin(Draft.of(box.getValue()));
            }
        });
        return box;
    }

    private void refresh() {
        Draft draft = model.draftProperty().get();
        double[] values = {
            draft.widthMm(),
            draft.heightMm(),
            draft.start().xMm(),
            draft.start().yMm(),
            Math.round(Math.toDegrees(draft.start().headingRad()) * 1e6) / 1e6
        };
        for (int i = 0; i < values.length; i++) {
            tableFields.get(i).show(values[i]);
        }
        CourseFigures f = model.figures();
        String ends = draft.closed()
                ? "Closed."
                : draft.parts().isEmpty()
                        ? "Nothing on the table."
                        : "Not a loop: ends " + Words.millimetres(f.apartMm()) + ", turned "
                                + Words.number(Math.abs(Math.toDegrees(f.turnedRad())), 2) + " degrees from its start.";
        figures.setText(
                Words.number(f.lengthMm() / 1000) + " m along, " + Words.number(f.tapeMm() / 1000) + " m of tape, "
                        + (Double.isInfinite(f.tightestRadiusMm())
                                ? "no bend"
                                : "tightest " + Words.millimetres(f.tightestRadiusMm()))
                        + ", " + Words.count(f.gaps(), "gap", "gaps")
                        + (f.gaps() > 0 ? " up to " + Words.millimetres(f.longestGapMm()) : "")
                        + ". " + ends);
    }

    private void open() {
        FileAsk.open(editor, model::open, COURSES);
    }

    private void save() {
        FileAsk.save(editor, "course.json", model::save, COURSES);
    }
}
