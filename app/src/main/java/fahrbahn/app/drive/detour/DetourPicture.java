package fahrbahn.app.drive.detour;

import fahrbahn.app.chart.CanvasRegion;
import fahrbahn.app.drive.detour.DetourModel.Answer;
import fahrbahn.app.ground.RobotMark;
import fahrbahn.app.ground.TableScale;
import fahrbahn.core.detour.Detour;
import fahrbahn.core.detour.DetourTrial;
import fahrbahn.core.path.Pose;
import fahrbahn.core.setup.Setup;
import fahrbahn.pen.Pen;
import fahrbahn.pen.Pen.Anchor;
import fahrbahn.pen.Pen.Stroke;
import fahrbahn.words.Words;

/** The way round from above, to scale: the line, the obstacle, where the robot turns, its arc, and where its sensor meets the line. */
final class DetourPicture extends CanvasRegion {
    private static final int PIECES = 60;
    private static final double MARGIN_PX = 10;
    private static final double AROUND_MM = 30;
    private static final double DOT_PX = 6;

    private Answer answer;
    private boolean byTouch;

    DetourPicture() {
        super("The way round the obstacle from above", 240);
    }

    void show(Answer newAnswer, boolean newByTouch) {
        answer = newAnswer;
        byTouch = newByTouch;
        requestLayout();
    }

    @Override
    protected String says() {
        return answer == null ? DetourWords.DRIVING : DetourWords.verdict(answer);
    }

    @Override
    protected void paint(Pen pen) {
        if (answer == null || answer.of(byTouch).best().isEmpty()) {
            return;
        }
        Setup setup = answer.setup();
        DetourTrial best = answer.of(byTouch).best().get();
        Detour detour = answer.task().detour(setup, answer.approach(byTouch), best.turnRad());
        double front = answer.task().frontMm();
        double start = -detour.startMm(front);
        double back = RobotMark.backMm(setup);
        double right =
                Math.max(detour.backMm(front, best.radiusMm()), answer.task().obstacleRadiusMm())
                        + front
                        + best.onMm() / 2;
        double top =
                best.radiusMm() * (1 - Math.cos(best.turnRad())) + answer.task().widthMm() / 2;
        double bottom = answer.task().obstacleRadiusMm() + answer.task().widthMm() / 2;
        double wide = right - start + back + 2 * AROUND_MM;
        double high = top + bottom + 2 * AROUND_MM;
        TableScale fit = TableScale.fitting(wide, high, new double[4], getWidth(), getHeight(), MARGIN_PX);
        // The frame of the way: the obstacle in the origin.
        TableScale at = new TableScale(fit.px(back + AROUND_MM - start), fit.py(bottom + AROUND_MM), fit.pxPerMm());
        pen.roundedBox("ink-table", fit.px(0), fit.py(high), fit.pxPerMm() * wide, fit.pxPerMm() * high, 12);
        double half = setup.line().widthMm() / 2;
        pen.box(
                "ink-line",
                fit.px(0),
                at.py(half),
                fit.pxPerMm() * wide,
                fit.pxPerMm() * setup.line().widthMm());
        pen.dot("ink-obstacle", at.px(0), at.py(0), at.pxPerMm() * answer.task().obstacleRadiusMm());
        arc(pen, at, detour, best, start);
        RobotMark.draw(pen, at, new Pose(start, 0, best.turnRad()), setup);
        meeting(pen, at, detour, best, front, setup);
    }

    private static Pose on(Detour detour, double radiusMm, double startMm, double headingRad) {
        double x = startMm + radiusMm * (Math.sin(detour.turnRad()) - Math.sin(headingRad));
        double y = radiusMm * (Math.cos(headingRad) - Math.cos(detour.turnRad()));
        return new Pose(x, y, headingRad);
    }

    private static void arc(Pen pen, TableScale at, Detour detour, DetourTrial best, double startMm) {
        double[] x = new double[PIECES + 1];
        double[] y = new double[PIECES + 1];
        for (int i = 0; i <= PIECES; i++) {
            double heading = detour.turnRad() * (1 - 2.0 * i / PIECES);
            Pose pose = on(detour, best.radiusMm(), startMm, heading);
            x[i] = at.px(pose.xMm());
            y[i] = at.py(pose.yMm());
        }
        pen.line(new Stroke("ink-density", 3, 8, 5), x, y);
    }

    private void meeting(Pen pen, TableScale at, Detour detour, DetourTrial best, double frontMm, Setup setup) {
        double heading =
                detour.meetsAtRad(best.radiusMm(), setup.leadMm(), setup.line().widthMm());
        if (Double.isNaN(heading)) {
            return;
        }
        Pose pose = on(detour, best.radiusMm(), -detour.startMm(frontMm), heading);
        RobotMark.draw(pen, at, pose, setup);
        double onX = pose.xMm() + best.onMm() * Math.cos(heading);
        RobotMark.drawBench(pen, at, new Pose(onX, 0, 0), setup);
        double along = detour.meetsAtMm(frontMm, best.radiusMm(), setup.leadMm(), heading);
        double x = at.px(along);
        double y = at.py(setup.line().widthMm() / 2);
        pen.dot("ink-cross-rim", x, y, DOT_PX + 2);
        pen.dot("ink-cross", x, y, DOT_PX);
        pen.text(
                "ink-line",
                "radius " + Words.number(best.radiusMm(), 3) + " mm",
                at.px(on(detour, best.radiusMm(), -detour.startMm(frontMm), 0).xMm()),
                at.py(best.radiusMm() * (1 - Math.cos(detour.turnRad()))) + pen.lineHeight() + 6,
                Anchor.MIDDLE);
    }
}
