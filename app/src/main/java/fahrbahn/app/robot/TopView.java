package fahrbahn.app.robot;

import fahrbahn.app.chart.CanvasRegion;
import fahrbahn.app.ground.RobotMark;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.pen.Labels;
import fahrbahn.pen.Pen;
import fahrbahn.pen.PlacedPen;
import fahrbahn.words.Words;
import java.util.List;
import java.util.function.IntConsumer;
import java.util.stream.Collectors;
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
    private static final Pen.Stroke IN_HAND = new Pen.Stroke("ink-middle", 3.5);

    /** Room for words beside, above and below the robot. */
    private static final double BESIDE_PX = 100;

    private static final double ABOVE_PX = 6;
    private static final double BELOW_PX = 48;

    /** With more sensors only the outer ones and the one in hand are named. */
    private static final int MOST_NAMES = 4;

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
        super("The robot from above, to scale. Arrow keys move the selected sensor by 1 mm", 170);
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
    protected String says() {
        return setup == null
                ? ""
                : setup.robot().sensors().stream()
                        .map(s -> s.name() + " " + Words.millimetres(s.forwardMm()) + " ahead, "
                                + Words.millimetres(Math.abs(s.leftMm())) + (s.leftMm() < 0 ? " right" : " left"))
                        .collect(Collectors.joining("; "));
    }

    @Override
    protected void paint(Pen pen) {
        if (setup == null) {
            return;
        }
        fit();
        double lineWidth = setup.line().widthMm() * scale;
        pen.box("ink-road", originX - lineWidth / 2, 0, lineWidth, getHeight());
        RobotMark.draw(new PlacedPen(pen, originX, originY, Math.PI / 2), scale, setup, BODY);
        Sensor held = setup.robot().sensors().get(inHand);
        pen.ring(IN_HAND, place(inHand).getX(), place(inHand).getY(), spotPx(held));
        label(pen);
    }

    private double spotPx(Sensor sensor) {
        return RobotMark.SPOT_SIGMAS * sensor.spotSigmaMm() * scale;
    }

    /** The scale stays while a sensor is dragged, or it would run away from the mouse. */
    private void fit() {
        if (dragging) {
            return;
        }
        double track = setup.robot().drive().trackWidthMm();
        double half = Math.max(RobotMark.wheelLengthMm(setup) / 2, RobotMark.backMm(setup));
        double front = RobotMark.frontMm(setup);
        double side = 0.56 * track;
        for (Sensor sensor : setup.robot().sensors()) {
            front = Math.max(front, sensor.forwardMm() + RobotMark.SPOT_SIGMAS * sensor.spotSigmaMm());
            side = Math.max(side, Math.abs(sensor.leftMm()) + RobotMark.SPOT_SIGMAS * sensor.spotSigmaMm());
        }
        scale = Math.min((getWidth() - 2 * BESIDE_PX) / (2 * side), (getHeight() - BELOW_PX) / (front + half));
        originX = getWidth() / 2;
        originY = (getHeight() - BELOW_PX + (front - half) * scale) / 2 + ABOVE_PX;
    }

    /** Rulers for lead and width, and names: free of the robot's lines and of each other. */
    private void label(Pen pen) {
        double track = setup.robot().drive().trackWidthMm() * scale;
        double half = RobotMark.wheelLengthMm(setup) / 2 * scale;
        Labels labels = new Labels(pen, getWidth(), getHeight());
        double leadY = originY - setup.leadMm() * scale;
        double upright = Math.min(originX + 0.62 * track + 10, getWidth() - 12);
        double lying = Math.min(getHeight() - 22, originY + Math.max(half, RobotMark.backMm(setup) * scale) + 12);
        ruler(pen, labels, upright, originY, upright, leadY);
        ruler(pen, labels, originX - track / 2, lying, originX + track / 2, lying);
        labels.free(originX - track / 2, originY, originX + track / 2, originY);
        for (int side : new int[] {-1, 1}) {
            for (double edge : new double[] {0.4, 0.44, 0.56}) {
                double x = originX + side * edge * track;
                labels.free(x, originY - half, x, originY + half);
            }
            labels.free(
                    originX + side * 0.4 * track,
                    originY - RobotMark.frontMm(setup) * scale,
                    originX + side * 0.4 * track,
                    originY + RobotMark.backMm(setup) * scale);
        }
        double front = originY - RobotMark.frontMm(setup) * scale;
        double back = originY + RobotMark.backMm(setup) * scale;
        labels.free(originX - 0.4 * track, front, originX + 0.4 * track, front);
        labels.free(originX - 0.4 * track, back, originX + 0.4 * track, back);
        List<Sensor> sensors = setup.robot().sensors();
        for (int i = 0; i < sensors.size(); i++) {
            labels.free(place(i).getX(), place(i).getY(), spotPx(sensors.get(i)));
        }
        labels.put(TEXT, "lead " + Words.millimetres(setup.leadMm()), upright, (originY + leadY) / 2);
        String between = Words.millimetres(setup.robot().drive().trackWidthMm()) + " between "
                + (setup.robot().chassis().tracks() ? "tracks" : "wheels");
        labels.put(TEXT, between, originX, lying);
        labels.put(TEXT, "turns here", originX, originY);
        for (int i = 0; i < sensors.size(); i++) {
            boolean told = sensors.size() <= MOST_NAMES || i == inHand || i == 0 || i == sensors.size() - 1;
            if (told) {
                double outwards = Math.signum(sensors.get(i).leftMm()) * -spotPx(sensors.get(i));
                labels.put(TEXT, sensors.get(i).name(), place(i).getX() + outwards, place(i).getY());
            }
        }
    }

    private static void ruler(Pen pen, Labels labels, double x1, double y1, double x2, double y2) {
        boolean upright = x1 == x2;
        double endX = upright ? 5 : 0;
        double endY = upright ? 0 : 5;
        pen.line(RULER, x1, y1, x2, y2);
        pen.line(RULER, x1 - endX, y1 - endY, x1 + endX, y1 + endY);
        pen.line(RULER, x2 - endX, y2 - endY, x2 + endX, y2 + endY);
        labels.free(x1, y1, x2, y2);
    }
}
