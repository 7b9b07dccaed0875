package fahrbahn.app.table;

import fahrbahn.app.ground.RobotMark;
import fahrbahn.app.ground.TableCanvas;
import fahrbahn.app.ground.TablePainter;
import fahrbahn.core.mat.MatSheet;
import fahrbahn.core.mat.Picture;
import fahrbahn.core.path.Pose;
import fahrbahn.pen.Pen;
import fahrbahn.words.Words;
import java.util.Optional;
import javafx.scene.input.KeyEvent;

/** The table with the robot on it. */
final class LookCanvas extends TableCanvas {
    private static final double STEP_MM = 5;
    private static final double LEAST_PX = 220;
    private static final double TURN_RAD = Math.toRadians(3);

    private final LookModel model;
    private Optional<Pose> shown = Optional.empty();
    private final TablePainter painter = new TablePainter();

    LookCanvas(LookModel model) {
        super("The table with the robot on it; drag it, or move it with the arrow keys", LEAST_PX);
        takeKeys();
        this.model = model;
        setId("lookCanvas");
        setOnMousePressed(e -> {
            requestFocus();
            put(e.getX(), e.getY());
        });
        setOnMouseDragged(e -> put(e.getX(), e.getY()));
        setOnKeyPressed(this::key);
    }

    /** The point its law looks from goes where the mouse is. */
    private void put(double x, double y) {
        Pose pose = model.poseProperty().get();
        Pose eye = new Pose(scale().xMm(x), scale().yMm(y), pose.headingRad());
        model.place(eye.ahead(-model.setup().leadMm()));
    }

    private void key(KeyEvent e) {
        Pose pose = model.poseProperty().get();
        boolean taken = true;
        switch (e.getCode()) {
            case UP -> model.place(pose.ahead(STEP_MM));
            case DOWN -> model.place(pose.ahead(-STEP_MM));
            case LEFT -> model.place(pose.turned(TURN_RAD));
            case RIGHT -> model.place(pose.turned(-TURN_RAD));
            default -> taken = false;
        }
        if (taken) {
            e.consume();
        }
    }

    /** Shows the bench robot where it is now. */
    void frame() {
        Optional<Pose> now = model.benchPose();
        if (!now.equals(shown)) {
            shown = now;
            requestLayout();
        }
    }

    @Override
    protected String says() {
        Pose pose = model.poseProperty().get();
        return "The robot stands at " + Words.number(pose.xMm()) + ", " + Words.millimetres(pose.yMm()) + " and faces "
                + Words.number(Math.toDegrees(pose.headingRad())) + " degrees.";
    }

    private Optional<MatSheet> mat() {
        return model.mat().sheetProperty().get();
    }

    @Override
    protected double tableWidthMm() {
        return mat().map(MatSheet::widthMm).orElse(model.draft().widthMm());
    }

    @Override
    protected double tableHeightMm() {
        return mat().map(MatSheet::heightMm).orElse(model.draft().heightMm());
    }

    @Override
    protected Optional<Picture> print() {
        return mat().flatMap(sheet -> model.mat().picture().get());
    }

    @Override
    protected void paint(Pen pen) {
        if (mat().isEmpty()) {
            painter.lay(model.draft(), model.setup().line().widthMm());
            painter.paint(pen, scale());
        }
        RobotMark.draw(pen, scale(), model.poseProperty().get(), model.setup());
        shown.ifPresent(pose -> RobotMark.drawBench(pen, scale(), pose, model.setup()));
    }
}
