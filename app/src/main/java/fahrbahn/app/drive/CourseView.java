package fahrbahn.app.drive;

import fahrbahn.app.chart.Pen;
import fahrbahn.app.ground.RobotMark;
import fahrbahn.app.ground.TableCanvas;
import fahrbahn.app.ground.TablePainter;
import fahrbahn.app.ground.TableScale;
import fahrbahn.app.words.Words;
import fahrbahn.core.mat.Picture;
import fahrbahn.core.mat.TracedMat;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import fahrbahn.core.table.Ground;
import fahrbahn.core.table.Pose;
import fahrbahn.core.twin.Trace;
import java.util.Optional;

/** The table from above with the line, the way the robot went and the robot itself. */
final class CourseView extends TableCanvas {
    private static final Pen.Stroke TRAIL = new Pen.Stroke("ink-advice", 2);

    private final TablePainter painter = new TablePainter();
    private Ground ground = DemoCourses.workshopLoop();
    private Draft draft = Draft.of(DemoCourses.workshopLoop());
    private Drive drive;
    private double lineWidthMm = 20;
    private int tick;

    CourseView() {
        super("The twin on its course", 200);
    }

    /** Another table, bare. */
    void lay(Ground newGround) {
        ground = newGround;
        if (ground instanceof Course course) {
            draft = Draft.of(course);
        }
        show(null, 0);
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
    protected String says() {
        String table = Words.number(ground.path().lengthMm() / 1000) + " m of line on " + Words.number(ground.widthMm())
                + " by " + Words.millimetres(ground.heightMm());
        if (drive == null || drive.trace().size() == 0) {
            return table + ".";
        }
        int at = Math.min(tick, drive.trace().size() - 1);
        return table + "; the robot after " + Words.seconds(drive.trace().tS(at)) + " is "
                + Words.millimetres(Math.abs(drive.trace().offsetMm(at))) + " off its path.";
    }

    @Override
    protected double tableWidthMm() {
        return ground.widthMm();
    }

    @Override
    protected double tableHeightMm() {
        return ground.heightMm();
    }

    @Override
    protected Optional<Picture> print() {
        return ground instanceof TracedMat mat ? Optional.of(mat.mat().picture()) : Optional.empty();
    }

    @Override
    protected void paint(Pen pen) {
        TableScale at = scale();
        if (ground instanceof Course) {
            painter.lay(draft, lineWidthMm);
            painter.paint(pen, at);
        }
        if (drive != null && drive.trace().size() > 0) {
            paintRun(pen, at, drive.trace(), Math.min(tick, drive.trace().size() - 1));
        }
    }

    private void paintRun(Pen pen, TableScale at, Trace trace, int until) {
        double lead = drive.setup().leadMm();
        double[] x = new double[until + 1];
        double[] y = new double[until + 1];
        for (int i = 0; i <= until; i++) {
            Pose eye = pose(trace, i).ahead(lead);
            x[i] = at.px(eye.xMm());
            y[i] = at.py(eye.yMm());
        }
        pen.line(TRAIL, x, y);
        RobotMark.draw(pen, at, pose(trace, until), drive.setup());
    }

    private static Pose pose(Trace trace, int tick) {
        return new Pose(trace.xMm(tick), trace.yMm(tick), trace.headingRad(tick));
    }
}
