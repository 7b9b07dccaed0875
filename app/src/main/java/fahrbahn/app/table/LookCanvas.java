package fahrbahn.app.table;

import fahrbahn.app.chart.Ink;
import fahrbahn.app.kit.Pictures;
import fahrbahn.core.mat.MatSheet;
import fahrbahn.core.mat.Picture;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Outline;
import fahrbahn.core.table.Pose;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.input.KeyEvent;

/** The table with the robot on it. */
final class LookCanvas extends TableCanvas {
    private static final double STEP_MM = 5;
    private static final double TURN_RAD = Math.toRadians(3);

    private final LookModel model;
    private final CoursePainter painter = new CoursePainter(this);
    private final Ink robot = ink("ink-stop");
    private final Ink spot = ink("ink-left");
    private Image image;
    private Picture imageOf;

    LookCanvas(LookModel model) {
        super("The table with the robot on it; drag it, or move it with the arrow keys");
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
        Pose eye = new Pose(xMm(x), yMm(y), pose.headingRad());
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

    private Optional<MatSheet> mat() {
        return model.mat().sheetProperty().get();
    }

    @Override
    double tableWidthMm() {
        return mat().map(MatSheet::widthMm).orElse(model.draft().widthMm());
    }

    @Override
    double tableHeightMm() {
        return mat().map(MatSheet::heightMm).orElse(model.draft().heightMm());
    }

    @Override
    protected void paint(GraphicsContext g) {
        if (mat().isPresent()) {
            Optional<Picture> picture = model.mat().pictureProperty().get();
            if (picture.isPresent() && imageOf != picture.get()) {
                imageOf = picture.get();
                image = Pictures.image(imageOf);
            }
            if (picture.isPresent()) {
                g.drawImage(image, px(0), py(tableHeightMm()), scale() * tableWidthMm(), scale() * tableHeightMm());
            }
        } else {
            double width = model.setup().line().widthMm();
            painter.paint(g, tableWidthMm(), tableHeightMm(), Outline.of(model.draft(), width));
        }
        paintRobot(g, model.poseProperty().get(), model.setup());
    }

    private void paintRobot(GraphicsContext g, Pose pose, Setup setup) {
        double track = setup.robot().drive().trackWidthMm() * scale();
        double lead = setup.leadMm() * scale();
        g.save();
        g.translate(px(pose.xMm()), py(pose.yMm()));
        g.rotate(-Math.toDegrees(pose.headingRad()));
        g.setStroke(robot.paint());
        g.setLineWidth(3);
        g.strokeRoundRect(-0.35 * track, -track / 2, 0.35 * track + Math.max(lead, 0.3 * track), track, 10, 10);
        g.strokeLine(0, -track / 2, 0, track / 2);
        g.setFill(spot.paint());
        for (Sensor sensor : setup.robot().sensors()) {
            double radius = Math.max(3, 2 * sensor.spotSigmaMm() * scale());
            double x = sensor.forwardMm() * scale();
            double y = -sensor.leftMm() * scale();
            g.fillOval(x - radius, y - radius, 2 * radius, 2 * radius);
        }
        g.restore();
    }
}
