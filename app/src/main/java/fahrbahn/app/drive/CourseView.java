package fahrbahn.app.drive;

import fahrbahn.app.chart.Ink;
import fahrbahn.app.drive.DriveModel.Drive;
import fahrbahn.app.kit.CanvasRegion;
import fahrbahn.app.kit.Pictures;
import fahrbahn.core.mat.Picture;
import fahrbahn.core.mat.TracedMat;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Ground;
import fahrbahn.core.table.Outline;
import fahrbahn.core.table.Pose;
import fahrbahn.core.twin.Trace;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;

/** The table from above with the line, the way the robot went and the robot itself. */
final class CourseView extends CanvasRegion {
    /** Drawn round each piece, in its own colour, so that no seam shows between two; what is filled is narrower by as much. */
    private static final double RIM_MM = 2;

    private Ground course = DemoCourses.workshopLoop();
    private Image printed;
    private Picture printedOf;
    private List<Outline> outlines = List.of();
    private final Ink table = ink("ink-table");
    private final Ink line = ink("ink-line");
    private final Map<Outline.Kind, Ink> inks = new EnumMap<>(Outline.Kind.class);
    private final Ink trail = ink("ink-advice");
    private final Ink middle = ink("ink-middle");
    private Drive drive;
    private double lineWidthMm = 20;
    private int tick;

    CourseView() {
        super("The twin on its course", 200);
        for (Outline.Kind kind : Outline.Kind.values()) {
            inks.put(
                    kind,
                    kind == Outline.Kind.LINE ? line : ink("ink-" + kind.name().toLowerCase(Locale.ROOT)));
        }
    }

    /** Another course, bare. */
    void lay(Ground newCourse) {
        course = newCourse;
        showLine(lineWidthMm);
        show(null, 0);
    }

    void showLine(double newLineWidthMm) {
        lineWidthMm = newLineWidthMm;
        outlines = course instanceof Course laid ? Outline.of(laid, Math.max(RIM_MM, lineWidthMm) - RIM_MM) : List.of();
        requestLayout();
    }

    /** @param newTick how far along the run to draw; null run shows the bare course */
    void show(Drive newDrive, int newTick) {
        drive = newDrive;
        tick = newTick;
        requestLayout();
    }

    @Override
    protected void paint(GraphicsContext g) {
        double scale = Math.min(getWidth() / course.widthMm(), getHeight() / course.heightMm());
        g.save();
        g.translate((getWidth() - scale * course.widthMm()) / 2, (getHeight() + scale * course.heightMm()) / 2);
        g.scale(scale, -scale); // table frame: y to the left of x, so upwards on screen
        g.setFill(table.paint());
        g.fillRoundRect(0, 0, course.widthMm(), course.heightMm(), 40, 40);
        if (course instanceof TracedMat mat) {
            paintMat(g, mat);
        }
        paintLine(g);
        if (drive != null && drive.trace().size() > 0) {
            paintRun(g, drive.trace(), Math.min(tick, drive.trace().size() - 1));
        }
        g.restore();
    }

    /** The picture lies with its top at the far side of the table. */
    private void paintMat(GraphicsContext g, TracedMat mat) {
        if (printedOf != mat.mat().picture()) {
            printedOf = mat.mat().picture();
            printed = Pictures.image(printedOf);
        }
        g.save();
        g.translate(0, mat.heightMm());
        g.scale(1, -1);
        g.drawImage(printed, 0, 0, mat.widthMm(), mat.heightMm());
        g.restore();
    }

    private void paintLine(GraphicsContext g) {
        g.setLineWidth(RIM_MM);
        for (Outline outline : outlines) {
            double[] x = outline.xMm();
            double[] y = outline.yMm();
            g.setFill(inks.get(outline.kind()).paint());
            g.setStroke(inks.get(outline.kind()).paint());
            g.fillPolygon(x, y, x.length);
            g.strokePolygon(x, y, x.length);
        }
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
