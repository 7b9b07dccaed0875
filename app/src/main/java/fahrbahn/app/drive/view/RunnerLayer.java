package fahrbahn.app.drive.view;

import fahrbahn.app.chart.CanvasRegion;
import fahrbahn.app.ground.TableScale;
import fahrbahn.core.path.Pose;
import fahrbahn.pen.Pen;
import fahrbahn.pen.PlacedPen;
import fahrbahn.words.Words;

/**
 * One robot and the last bit of its trail, on a canvas as small as that takes. What changes every frame is painted and put on the screen every
 * frame: without a graphics card a canvas over the whole table took longer than a frame lasts.
 */
final class RunnerLayer extends CanvasRegion {
    /** Room for what sensors are mounted on, in track widths to each side. */
    private static final double AROUND = 1.2;

    private static final double LEAST_HALF_PX = 70;

    private final Runner runner;
    private Trail trail;
    private TableScale at;
    private int from;
    private int tick;

    RunnerLayer(Runner runner) {
        super("A robot on its way", 0);
        this.runner = runner;
        setManaged(false);
        setMouseTransparent(true);
    }

    /** @param newFrom tick up to which the trail is painted elsewhere */
    void place(TableScale newAt, Trail newTrail, int newFrom, int newTick) {
        at = newAt;
        trail = newTrail;
        from = Math.min(newFrom, newTick);
        tick = newTick;
        Pose pose = runner.pose(tick);
        double half = halfPx(at);
        resizeRelocate(Math.rint(at.px(pose.xMm()) - half), Math.rint(at.py(pose.yMm()) - half), 2 * half, 2 * half);
        requestLayout();
    }

    /** How far the robot may go until the trail elsewhere has to be painted on. */
    double halfPx(TableScale scale) {
        double mm = AROUND * runner.setup().robot().drive().trackWidthMm()
                + Math.abs(runner.setup().leadMm());
        return Math.ceil(Math.max(LEAST_HALF_PX, mm * scale.pxPerMm()));
    }

    @Override
    protected String says() {
        return "Robot " + runner.letter() + " after "
                + Words.seconds(runner.trace().tS(tick)) + ".";
    }

    @Override
    protected void paint(Pen pen) {
        if (at == null) {
            return;
        }
        Pen here = PlacedPen.at(pen, -getLayoutX(), -getLayoutY());
        runner.paintTrail(here, trail, from, tick);
        runner.paintRobot(here, at, tick);
    }
}
