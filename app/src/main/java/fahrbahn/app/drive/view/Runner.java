package fahrbahn.app.drive.view;

import fahrbahn.app.ground.RobotMark;
import fahrbahn.app.ground.TableScale;
import fahrbahn.core.path.Pose;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trace.Trace;
import fahrbahn.pen.Pen;

/** A robot on its way. @param letter beside it; empty for none @param ink of its trail @param dashed as the second of two */
public record Runner(String letter, Setup setup, Trace trace, String ink, boolean dashed) {
    private static final double LETTER_PX = 30;

    int tick(double tS) {
        return trace.indexAt(tS);
    }

    Pose pose(int tick) {
        return new Pose(trace.xMm(tick), trace.yMm(tick), trace.headingRad(tick));
    }

    Trail trail(TableScale at) {
        return new Trail(trace, setup, at);
    }

    /** Its way between two ticks. */
    void paintTrail(Pen pen, Trail trail, int from, int to) {
        pen.line(dashed ? new Pen.Stroke(ink, 2, 6, 5) : new Pen.Stroke(ink, 2), trail.x(from, to), trail.y(from, to));
    }

    void paintRobot(Pen pen, TableScale at, int tick) {
        Pose pose = pose(tick);
        pen.text(
                "ink-line",
                letter,
                at.px(pose.xMm()),
                at.py(pose.yMm()) + (dashed ? LETTER_PX : -LETTER_PX),
                Pen.Anchor.MIDDLE);
        if (dashed) {
            RobotMark.drawBench(pen, at, pose, setup);
        } else {
            RobotMark.draw(pen, at, pose, setup);
        }
    }
}
