package fahrbahn.app.table;

import fahrbahn.app.ground.TableCanvas;
import fahrbahn.app.ground.TablePainter;
import fahrbahn.app.ground.TableScale;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.PartShapes;
import fahrbahn.core.path.Path;
import fahrbahn.core.path.Pose;
import fahrbahn.core.table.Draft;
import fahrbahn.pen.Pen;
import fahrbahn.words.Words;
import java.util.Arrays;
import javafx.scene.Cursor;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;

/**
 * The course from above. A click takes a part in hand; dragging its end lengthens a straight or turns a bend on; dragging the start
 * moves the whole. Arrow keys: up and down along the parts, left and right shorter and longer by 10 mm or 5 degrees.
 */
final class CourseEditor extends TableCanvas {
    private static final Pen.Stroke IN_HAND = new Pen.Stroke("ink-advice", 4);
    private static final Pen.Stroke OFF_TABLE = new Pen.Stroke("ink-stop", 2, 6, 6);
    private static final Pen.Stroke POSE = new Pen.Stroke("ink-stop", 3);
    private static final double LEAST_PX = 220;
    private static final double GRASP_PX = 14;
    private static final double LENGTH_STEP_MM = 10;
    private static final double ANGLE_STEP_RAD = Math.toRadians(5);
    private static final double LEAST_MM = 10;

    /** Free room round a line that leads off the table. */
    private static final double OFF_MARGIN_MM = 60;

    private final TableModel model;
    private final TablePainter painter = new TablePainter();
    private Draft shown;
    private Grip grip = Grip.NONE;
    private double[] beyond = new double[4];

    private enum Grip {
        NONE,
        START,
        END
    }

    CourseEditor(TableModel model) {
        super("The course from above. Arrow keys choose a part and change its length", LEAST_PX);
        takeKeys();
        this.model = model;
        setId("courseEditor");
        shown = model.draftProperty().get();
        model.draftProperty().addListener(o -> show(model.draftProperty().get()));
        model.chosenProperty().addListener(o -> requestLayout());
        model.setupNowProperty().addListener(o -> requestLayout());
        setOnMousePressed(this::grasp);
        setOnMouseDragged(this::drag);
        setOnMouseReleased(this::drop);
        setOnMouseMoved(e -> setCursor(gripAt(e) == Grip.NONE ? Cursor.DEFAULT : Cursor.MOVE));
        setOnKeyPressed(this::key);
    }

    @Override
    protected String says() {
        int chosen = model.chosenProperty().get();
        return Words.count(shown.parts().size(), "part", "parts") + ", "
                + Words.number(model.figures().lengthMm() / 1000) + " m"
                + (chosen < 0 ? "" : "; part " + (chosen + 1) + " selected") + ".";
    }

    private void show(Draft draft) {
        shown = draft;
        requestLayout();
    }

    @Override
    protected double tableWidthMm() {
        return shown.widthMm();
    }

    @Override
    protected double tableHeightMm() {
        return shown.heightMm();
    }

    /** While a handle is pulled the picture keeps its scale, or it would run away from the mouse. */
    @Override
    protected double[] beyondMm() {
        return beyond;
    }

    private void fit() {
        if (grip != Grip.NONE) {
            return;
        }
        double[] reach = new double[4];
        double length = shown.path().lengthMm();
        for (double s = 0; s <= length && !shown.parts().isEmpty(); s += 25) {
            Pose at = shown.path().at(s);
            reach[0] = Math.max(reach[0], -at.xMm());
            reach[1] = Math.max(reach[1], -at.yMm());
            reach[2] = Math.max(reach[2], at.xMm() - shown.widthMm());
            reach[3] = Math.max(reach[3], at.yMm() - shown.heightMm());
        }
        boolean off = Arrays.stream(reach).anyMatch(r -> r > 0);
        beyond = off ? Arrays.stream(reach).map(r -> r + OFF_MARGIN_MM).toArray() : reach;
    }

    private Pose endInHand() {
        return shown.joints()
                .get(Math.min(model.chosenProperty().get(), shown.parts().size() - 1) + 1);
    }

    private Grip gripAt(MouseEvent e) {
        if (model.chosenProperty().get() >= 0 && awayPx(e, endInHand()) < GRASP_PX) {
            return Grip.END;
        }
        return awayPx(e, shown.start()) < GRASP_PX ? Grip.START : Grip.NONE;
    }

    private double awayPx(MouseEvent e, Pose pose) {
        return Math.hypot(scale().px(pose.xMm()) - e.getX(), scale().py(pose.yMm()) - e.getY());
    }

    private void grasp(MouseEvent e) {
        requestFocus();
        grip = gripAt(e);
        if (grip == Grip.NONE) {
            model.choose(shown.partNear(scale().xMm(e.getX()), scale().yMm(e.getY()), GRASP_PX / scale().pxPerMm()));
        }
    }

    private void drag(MouseEvent e) {
        Draft before = model.draftProperty().get();
        double xMm = scale().xMm(e.getX());
        double yMm = scale().yMm(e.getY());
        try {
            if (grip == Grip.START) {
                show(before.withStart(new Pose(
                        Math.rint(xMm / 10) * 10,
                        Math.rint(yMm / 10) * 10,
                        before.start().headingRad())));
            } else if (grip == Grip.END) {
                int index = model.chosenProperty().get();
                Part pulled = PartShapes.pulledTo(
                        before.parts().get(index), before.joints().get(index), xMm, yMm);
                show(before.withPart(index, pulled));
            }
        } catch (BadValueException tooFar) {
            // The last shape that could be stays shown.
        }
    }

    private void drop(MouseEvent e) {
        Draft dragged = shown;
        if (grip != Grip.NONE && !dragged.equals(model.draftProperty().get())) {
            model.change(before -> dragged);
        }
        grip = Grip.NONE;
    }

    private void key(KeyEvent e) {
        int chosen = model.chosenProperty().get();
        boolean taken = true;
        switch (e.getCode()) {
            case UP -> model.choose(chosen + 1);
            case DOWN -> model.choose(Math.max(0, chosen - 1));
            case LEFT, RIGHT -> taken = chosen >= 0 && stretch(e.getCode() == KeyCode.RIGHT ? 1 : -1);
            default -> taken = false;
        }
        if (taken) {
            e.consume();
        }
    }

    private boolean stretch(int way) {
        Part part = shown.parts().get(model.chosenProperty().get());
        try {
            model.reshape(PartShapes.stretched(part, way * LENGTH_STEP_MM, way * ANGLE_STEP_RAD, LEAST_MM));
        } catch (BadValueException least) {
            // As short as it gets.
        }
        return true;
    }

    @Override
    protected void paint(Pen pen) {
        fit();
        TableScale at = scale();
        painter.lay(shown, Math.max(3, model.setupNowProperty().get().line().widthMm()));
        painter.paint(pen, at);
        if (Arrays.stream(beyond).anyMatch(r -> r > 0)) {
            paintWay(pen, at, shown.path(), OFF_TABLE);
        }
        int chosen = Math.min(model.chosenProperty().get(), shown.parts().size() - 1);
        if (chosen >= 0) {
            Path one = shown.withStart(shown.joints().get(chosen))
                    .withParts(shown.parts().subList(chosen, chosen + 1))
                    .path();
            paintWay(pen, at, one, IN_HAND);
            pen.box(IN_HAND.ink(), at.px(one.end().xMm()) - 7, at.py(one.end().yMm()) - 7, 14, 14);
        }
        paintPose(pen, at, shown.start(), "start");
        if (!shown.closed() && !shown.parts().isEmpty()) {
            paintPose(pen, at, shown.path().end(), "end");
        }
    }

    private static void paintWay(Pen pen, TableScale at, Path path, Pen.Stroke stroke) {
        int steps = (int) Math.max(2, path.lengthMm() / 8);
        double[] x = new double[steps + 1];
        double[] y = new double[steps + 1];
        for (int i = 0; i <= steps; i++) {
            Pose place = path.at(path.lengthMm() * i / steps);
            x[i] = at.px(place.xMm());
            y[i] = at.py(place.yMm());
        }
        pen.line(stroke, x, y);
    }

    private static void paintPose(Pen pen, TableScale at, Pose pose, String word) {
        double x = at.px(pose.xMm());
        double y = at.py(pose.yMm());
        pen.ring(POSE, x, y, 7);
        pen.line(POSE, x, y, x + 22 * Math.cos(pose.headingRad()), y - 22 * Math.sin(pose.headingRad()));
        pen.text("ink-line", word, x - 12, y + 26);
    }
}
