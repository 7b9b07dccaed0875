package fahrbahn.app.ground;

import fahrbahn.app.chart.Pen;
import fahrbahn.app.chart.PlacedPen;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Pose;

/** The robot on a table, to scale: its body, the line between its wheels, and what its sensors see. */
public final class RobotMark {
    /** Body behind the axle and least body before it, in track widths: most robots at these tables are so long. */
    private static final double BEHIND = 0.35;

    private static final double BEFORE = 0.3;

    /** 86 % of a Gaussian spot lies within two of its standard deviations. */
    private static final double SPOT_SIGMAS = 2;

    private static final double LEAST_SPOT_PX = 3;
    private static final double CORNER_PX = 6;

    private RobotMark() {}

    public static void draw(Pen pen, TableScale at, Pose pose, Setup setup) {
        draw(pen, at, pose, setup, new Pen.Stroke("ink-stop", 3));
    }

    /** The simulated robot, dashed like all that is simulated. */
    public static void drawBench(Pen pen, TableScale at, Pose pose, Setup setup) {
        draw(pen, at, pose, setup, new Pen.Stroke("ink-stop", 3, 6, 5));
    }

    private static void draw(Pen pen, TableScale at, Pose pose, Setup setup, Pen.Stroke body) {
        double scale = at.pxPerMm();
        double track = setup.robot().drive().trackWidthMm() * scale;
        double front = Math.max(setup.leadMm() * scale, BEFORE * track);
        Pen robot = new PlacedPen(pen, at.px(pose.xMm()), at.py(pose.yMm()), pose.headingRad());
        robot.roundedFrame(body, -BEHIND * track, -track / 2, BEHIND * track + front, track, CORNER_PX);
        robot.line(body, 0, -track / 2, 0, track / 2);
        for (Sensor sensor : setup.robot().sensors()) {
            double radius = Math.max(LEAST_SPOT_PX, SPOT_SIGMAS * sensor.spotSigmaMm() * scale);
            robot.dot("ink-left", sensor.forwardMm() * scale, -sensor.leftMm() * scale, radius);
        }
    }
}
