package fahrbahn.app.drive.view;

import fahrbahn.app.ground.TablePainter;
import fahrbahn.app.ground.TableScale;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.Draft;
import fahrbahn.core.table.Ground;
import fahrbahn.pen.Pen;
import fahrbahn.pen.Sheet;
import java.util.List;

/** A whole table with robots and their ways on it, for paper. Where many runs went is left out, and a mat's print: those are pixels. */
record CourseSheet(Ground ground, double lineWidthMm, List<Runner> runners, double atS) implements Sheet {
    private static final double WIDTH = 760;

    @Override
    public double width() {
        return WIDTH;
    }

    @Override
    public double height() {
        return WIDTH / ground.widthMm() * ground.heightMm();
    }

    @Override
    public void draw(Pen pen) {
        TableScale at = new TableScale(0, height(), WIDTH / ground.widthMm());
        if (ground instanceof Course course) {
            TablePainter painter = new TablePainter();
            painter.lay(Draft.of(course), lineWidthMm);
            painter.paint(pen, at);
        }
        for (Runner runner : runners) {
            runner.paintTrail(pen, runner.trail(at), 0, runner.tick(atS));
            runner.paintRobot(pen, at, runner.tick(atS));
        }
    }
}
