package fahrbahn.app.view;

import fahrbahn.app.chart.Ink;
import fahrbahn.app.model.DriveModel.Drive;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.Path;
import fahrbahn.core.table.Pose;
import fahrbahn.core.twin.Trace;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.shape.StrokeLineCap;

/** The table from above with the line, the way the robot went and the robot itself. */
final class CourseView extends CanvasRegion {
    private final Course course;
    private final Ink table = ink("ink-table");
    private final Ink line = ink("ink-line");
    private final Ink trail = ink("ink-advice");
    private final Ink middle = ink("ink-middle");
    private Drive drive;
    private double lineWidthMm = 20;
    private int tick;

    CourseView(Course course) {
        super("The twin on the " + course.name(), 200);
        this.course = course;
    }

    void showLine(double newLineWidthMm) {
        lineWidthMm = newLineWidthMm;
        requestLayout();
    }

    /** @param newTick how far along the run to draw; null run shows the bare course */
    void show(Drive newDrive, int newTick) {
        drive = newDrive;
        tick = newTick;
        requestLayout();
    }

    @Override
    void paint(GraphicsContext g) {
        double scale = Math.min(getWidth() / course.widthMm(), getHeight() / course.heightMm());
        g.save();
        g.translate((getWidth() - scale * course.widthMm()) / 2, (getHeight() + scale * course.heightMm()) / 2);
        g.scale(scale, -scale); // table frame: y to the left of x, so upwards on screen
        g.setFill(table.paint());
        g.fillRoundRect(0, 0, course.widthMm(), course.heightMm(), 40, 40);
        paintLine(g);
        if (drive != null && drive.trace().size() > 0) {
            paintRun(g, drive.trace(), Math.min(tick, drive.trace().size() - 1));
        }
        g.restore();
    }

    private void paintLine(GraphicsContext g) {
        Path path = course.path();
        g.setStroke(line.paint());
        g.setLineWidth(lineWidthMm);
        g.setLineCap(StrokeLineCap.BUTT);
        g.beginPath();
        for (double s = 0; s <= path.lengthMm() + 5; s += 5) {
            Pose at = path.at(Math.min(s, path.lengthMm() - 1e-6));
            g.lineTo(at.xMm(), at.yMm());
        }
        g.stroke();
    }

    private void paintRun(GraphicsContext g, Trace trace, int until) {
        double lead = drive.setup().leadMm();
        g.setStroke(trail.paint());
        g.setLineWidth(5);
        g.beginPath();
        for (int i = 0; i <= until; i++) {
            Pose eye = new Pose(trace.xMm(i), trace.yMm(i), trace.headingRad(i)).ahead(lead);
            g.lineTo(eye.xMm(), eye.yMm());
        }
        g.stroke();
        double track = drive.setup().robot().drive().trackWidthMm();
        g.save();
        g.translate(trace.xMm(until), trace.yMm(until));
        g.rotate(Math.toDegrees(trace.headingRad(until)));
        g.setStroke(line.paint());
        g.setLineWidth(9);
        g.strokeRoundRect(-0.35 * track, -track / 2, 0.35 * track + lead, track, 30, 30);
        g.setFill(middle.paint());
        g.fillOval(lead - 10, -10, 20, 20);
        g.restore();
    }
}
