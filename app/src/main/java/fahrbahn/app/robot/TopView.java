package fahrbahn.app.robot;

import fahrbahn.app.chart.CanvasRegion;
import fahrbahn.app.chart.Pen;
import fahrbahn.app.words.Words;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.function.IntConsumer;
import javafx.css.PseudoClass;
import javafx.scene.Cursor;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;

/**
 * The robot from above, to scale, on its line: forward is up, left is left. A sensor is taken in hand by a click and moved with the
 * mouse, or by the arrow keys, 1 mm a time.
 */
final class TopView extends CanvasRegion {
    private static final double GRASP_PX = 16;
    private static final String TEXT = "ink-text";
    private static final Pen.Stroke BODY = new Pen.Stroke("ink-robot", 2);
    private static final Pen.Stroke RULER = new Pen.Stroke("ink-robot", 1);
    private static final Pen.Stroke SENSOR = new Pen.Stroke("ink-left", 2);
    private static final Pen.Stroke IN_HAND = new Pen.Stroke("ink-middle", 3.5);
    private static final PseudoClass FOCUSED = PseudoClass.getPseudoClass("focused");

    private final Hand moves;
    private final IntConsumer chosen;
    private Setup setup;
    private int inHand;
    private boolean dragging;
    private double scale = 1;
    private double originX;
    private double originY;

    /** What becomes of a moved sensor. */
    interface Hand {
        /** Shown only, while the mouse still drags. */
        void preview(int sensor, double forwardMm, double leftMm);

        /** Kept. */
        void move(int sensor, double forwardMm, double leftMm);
    }

    TopView(Hand moves, IntConsumer chosen) {
        super("The robot from above, to scale. Arrow keys move the sensor in hand by a millimetre", 200);
        this.moves = moves;
        this.chosen = chosen;
        setId("topView");
        setFocusTraversable(true);
        getStyleClass().add("handled");
        focusedProperty().addListener(o -> pseudoClassStateChanged(FOCUSED, isFocused()));
        setOnMousePressed(this::grasp);
        setOnMouseDragged(this::drag);
        setOnMouseReleased(this::drop);
        setOnMouseMoved(e -> setCursor(near(e.getX(), e.getY()) >= 0 ? Cursor.MOVE : Cursor.DEFAULT));
        setOnKeyPressed(this::nudge);
    }

    void show(Setup newSetup) {
        setup = newSetup;
        requestLayout();
    }

    void showInHand(int sensor) {
        inHand = sensor;
        requestLayout();
    }

    /** Where a sensor is drawn, for those that point at it. */
    javafx.geometry.Point2D place(int sensor) {
        Sensor s = setup.robot().sensors().get(sensor);
        return new javafx.geometry.Point2D(originX - s.leftMm() * scale, originY - s.forwardMm() * scale);
    }

    private int near(double x, double y) {
        int nearest = -1;
        double least = GRASP_PX;
        for (int i = 0; setup != null && i < setup.robot().sensors().size(); i++) {
            double away = place(i).distance(x, y);
            if (away < least) {
                least = away;
                nearest = i;
            }
        }
        return nearest;
    }

    private void grasp(MouseEvent e) {
        requestFocus();
        int sensor = near(e.getX(), e.getY());
        if (sensor >= 0) {
            dragging = true;
            chosen.accept(sensor);
        }
    }

    private double forwardMm(MouseEvent e) {
        return Math.rint((originY - e.getY()) / scale * 2) / 2;
    }

    private double leftMm(MouseEvent e) {
        return Math.rint((originX - e.getX()) / scale * 2) / 2;
    }

    private void drag(MouseEvent e) {
        if (dragging) {
            moves.preview(inHand, forwardMm(e), leftMm(e));
        }
    }

    private void drop(MouseEvent e) {
        if (dragging && !e.isStillSincePress()) {
            moves.move(inHand, forwardMm(e), leftMm(e));
        }
        dragging = false;
    }

    private void nudge(KeyEvent e) {
        double forward = e.getCode() == KeyCode.UP ? 1 : e.getCode() == KeyCode.DOWN ? -1 : 0;
        double left = e.getCode() == KeyCode.LEFT ? 1 : e.getCode() == KeyCode.RIGHT ? -1 : 0;
        if (setup != null && (forward != 0 || left != 0)) {
            Sensor sensor = setup.robot().sensors().get(inHand);
            moves.move(inHand, sensor.forwardMm() + forward, sensor.leftMm() + left);
            e.consume();
        }
    }

    @Override
    protected void paint(Pen pen) {
        if (setup != null) {
            fit();
            paintBody(pen);
            paintLead(pen);
            for (int i = 0; i < setup.robot().sensors().size(); i++) {
                paintSensor(pen, i);
            }
        }
    }

    /** The scale stays while a sensor is dragged, or it would run away from the mouse. */
    private void fit() {
        if (dragging) {
            return;
        }
        double track = setup.robot().drive().trackWidthMm();
        double front = 0.3 * track;
        double back = -0.35 * track;
        double side = track / 2;
        for (Sensor sensor : setup.robot().sensors()) {
            front = Math.max(front, sensor.forwardMm() + 2 * sensor.spotSigmaMm());
            back = Math.min(back, sensor.forwardMm());
            side = Math.max(side, Math.abs(sensor.leftMm()));
        }
        scale = Math.min(getWidth() / (2 * side * 1.6), getHeight() / ((front - back) * 1.3));
        originX = getWidth() / 2;
        originY = getHeight() / 2 + (front + back) / 2 * scale;
    }

    private void paintBody(Pen pen) {
        double track = setup.robot().drive().trackWidthMm() * scale;
        boolean tracks = setup.robot().chassis().tracks();
        double length = 2 * setup.robot().chassis().wheelRadiusMm() * scale * (tracks ? 1.9 : 1);
        double lineWidth = setup.line().widthMm() * scale;
        pen.box("ink-road", originX - lineWidth / 2, 0, lineWidth, getHeight());
        double width = (tracks ? 0.2 : 0.12) * track;
        for (int side : new int[] {-1, 1}) {
            double x = originX + side * track / 2 - width / 2;
            pen.roundedFrame(BODY, x, originY - length / 2, width, length, tracks ? length / 6 : 4);
            for (int cleat = 1; tracks && cleat < 8; cleat++) {
                double y = originY - length / 2 + length * cleat / 8;
                pen.line(BODY, x, y, x + width, y);
            }
        }
        pen.line(BODY, originX - track / 2, originY, originX + track / 2, originY);
        pen.line(BODY, originX - 6, originY - 6, originX + 6, originY + 6);
        pen.line(BODY, originX - 6, originY + 6, originX + 6, originY - 6);
        pen.text(TEXT, "turns here", originX + 10, originY + 17);
        pen.text(
                TEXT,
                Words.millimetres(setup.robot().drive().trackWidthMm()) + " between " + (tracks ? "tracks" : "wheels"),
                originX - track / 2,
                originY + length / 2 + 20);
    }

    private void paintLead(Pen pen) {
        double track = setup.robot().drive().trackWidthMm() * scale;
        double leadY = originY - setup.leadMm() * scale;
        double ruler = originX + 0.66 * track;
        pen.line(RULER, ruler, originY, ruler, leadY);
        pen.line(RULER, ruler - 5, originY, ruler + 5, originY);
        pen.line(RULER, ruler - 5, leadY, ruler + 5, leadY);
        pen.text(TEXT, "lead " + Words.millimetres(setup.leadMm()), ruler - 78, (originY + leadY) / 2 - 6);
    }

    private void paintSensor(Pen pen, int index) {
        Sensor sensor = setup.robot().sensors().get(index);
        double x = place(index).getX();
        double y = place(index).getY();
        double radius = 2 * sensor.spotSigmaMm() * scale; // 86 % of a Gaussian spot lies within two sigmas
        pen.dot("ink-spot", x, y, radius);
        pen.ring(index == inHand ? IN_HAND : SENSOR, x, y, radius);
        int count = setup.robot().sensors().size();
        boolean crowded = count > 4;
        if (crowded && index != inHand && index != 0 && index != count - 1) {
            return; // its name would lie on its neighbours'
        }
        double shift = crowded
                ? index == inHand ? -8 : index == 0 ? -radius - 26 : radius + 6
                : sensor.leftMm() > 0 ? -radius - 34 : radius + 8;
        double up = crowded && index == inHand ? 6 : -radius;
        pen.text(TEXT, sensor.name(), x + shift, y - radius - up);
    }
}
