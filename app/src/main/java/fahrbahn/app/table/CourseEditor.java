package fahrbahn.app.table;

import fahrbahn.app.chart.Ink;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.table.Draft;
import fahrbahn.core.table.Outline;
import fahrbahn.core.table.Part;
import fahrbahn.core.table.PartShapes;
import fahrbahn.core.table.Path;
import fahrbahn.core.table.Pose;
import java.util.Arrays;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;

/**
 * The course from above. A click takes a part in hand; dragging its end lengthens a straight or turns a bend on; dragging the start
 * moves the whole. Arrow keys: up and down along the parts, left and right shorter and longer by 10 mm or 5 degrees.
 */
final class CourseEditor extends TableCanvas {
    private static final double GRASP_PX = 14;
    private static final double LENGTH_STEP_MM = 10;
    private static final double ANGLE_STEP_RAD = Math.toRadians(5);
    private static final double LEAST_MM = 10;

    /** Free room round a line that leads off the table. */
    private static final double OFF_MARGIN_MM = 60;

    private final TableModel model;
    private final CoursePainter painter = new CoursePainter(this);
    private final Ink hand = ink("ink-advice");
    private final Ink text = ink("ink-line");
    private final Ink pose = ink("ink-stop");
    private Draft shown;
    private Grip grip = Grip.NONE;
    private double[] beyond = new double[4];

    private enum Grip {
        NONE,
        START,
        END
    }

    CourseEditor(TableModel model) {
        super("The course from above. Arrow keys choose a part and change its length");
        this.model = model;
        setId("courseEditor");
        shown = model.draftProperty().get();
        model.draftProperty().addListener(o -> show(model.draftProperty().get()));
        model.chosenProperty().addListener(o -> requestLayout());
        model.season().setupProperty().addListener(o -> requestLayout());
        setOnMousePressed(this::grasp);
        setOnMouseDragged(this::drag);
        setOnMouseReleased(this::drop);
        setOnMouseMoved(e -> setCursor(gripAt(e) == Grip.NONE ? Cursor.DEFAULT : Cursor.MOVE));
        setOnKeyPressed(this::key);
    }

    private void show(Draft draft) {
        shown = draft;
        requestLayout();
    }

    @Override
    double tableWidthMm() {
        return shown.widthMm();
    }

    @Override
    double tableHeightMm() {
        return shown.heightMm();
    }

    /** While a handle is pulled the picture keeps its scale, or it would run away from the mouse. */
    @Override
    double[] beyondMm() {
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
        return Math.hypot(px(pose.xMm()) - e.getX(), py(pose.yMm()) - e.getY());
    }

    private void grasp(MouseEvent e) {
        requestFocus();
        grip = gripAt(e);
        if (grip == Grip.NONE) {
            model.choose(shown.partNear(xMm(e.getX()), yMm(e.getY()), GRASP_PX / scale()));
        }
    }

    private void drag(MouseEvent e) {
        Draft before = model.draftProperty().get();
        try {
            if (grip == Grip.START) {
                show(before.withStart(new Pose(
                        Math.rint(xMm(e.getX()) / 10) * 10,
                        Math.rint(yMm(e.getY()) / 10) * 10,
                        before.start().headingRad())));
            } else if (grip == Grip.END) {
                int index = model.chosenProperty().get();
                Part pulled = PartShapes.pulledTo(
                        before.parts().get(index), before.joints().get(index), xMm(e.getX()), yMm(e.getY()));
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
    protected void paint(GraphicsContext g) {
        fit();
        double width = model.season().setupOrGuess().line().widthMm();
        painter.paint(g, shown.widthMm(), shown.heightMm(), Outline.of(shown, Math.max(3, width)));
        if (Arrays.stream(beyond).anyMatch(r -> r > 0)) {
            g.setLineDashes(6, 6);
            paintWay(g, shown, pose, 2);
            g.setLineDashes();
        }
        int chosen = Math.min(model.chosenProperty().get(), shown.parts().size() - 1);
        if (chosen >= 0) {
            paintInHand(g, chosen);
        }
        paintPose(g, shown.start(), "start");
        if (!shown.closed() && !shown.parts().isEmpty()) {
            paintPose(g, shown.path().end(), "end");
        }
    }

    private void paintInHand(GraphicsContext g, int chosen) {
        Draft one = shown.withParts(shown.parts().subList(chosen, chosen + 1))
                .withStart(shown.joints().get(chosen));
        paintWay(g, one, hand, 4);
        Pose end = endInHand();
        g.setFill(hand.paint());
        g.fillRect(px(end.xMm()) - 7, py(end.yMm()) - 7, 14, 14);
    }

    private void paintWay(GraphicsContext g, Draft draft, Ink ink, double widthPx) {
        g.setStroke(ink.paint());
        g.setLineWidth(widthPx);
        g.beginPath();
        Path path = draft.path();
        int steps = (int) Math.max(2, path.lengthMm() / 8);
        for (int i = 0; i <= steps; i++) {
            Pose at = path.at(path.lengthMm() * i / steps);
            g.lineTo(px(at.xMm()), py(at.yMm()));
        }
        g.stroke();
    }

    private void paintPose(GraphicsContext g, Pose at, String word) {
        double x = px(at.xMm());
        double y = py(at.yMm());
        g.setStroke(pose.paint());
        g.setLineWidth(3);
        g.strokeOval(x - 7, y - 7, 14, 14);
        double dx = 22 * Math.cos(at.headingRad());
        double dy = -22 * Math.sin(at.headingRad());
        g.strokeLine(x, y, x + dx, y + dy);
        g.setFill(text.paint());
        g.fillText(word, x - 12, y + 26);
    }
}
