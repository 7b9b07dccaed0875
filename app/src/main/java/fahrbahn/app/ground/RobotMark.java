package fahrbahn.app.ground;

import fahrbahn.core.path.Pose;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.pen.Pen;
import fahrbahn.pen.PlacedPen;

/**
 * The robot as it is drawn everywhere, to scale: its body, its wheels or tracks, the line between them with the point it turns about,
 * and what its sensors see.
 */
public final class RobotMark {
    /** Body behind the axle and least body before it, in track widths: most robots at these tables are so long. */
    private static final double BEHIND = 0.35;

    private static final double BEFORE = 0.3;

    /** Half the body and a wheel across, in track widths. */
    private static final double HALF_BODY = 0.4;

    private static final double WHEEL = 0.12;
    private static final double TRACK = 0.2;

    /** A track is so much longer than the wheels it runs over. */
    private static final double TRACK_LENGTH = 1.9;

    private static final int CLEATS = 7;

    /** 86 % of a Gaussian spot lies within two of its standard deviations. */
    public static final double SPOT_SIGMAS = 2;

    private static final double LEAST_SPOT_PX = 3;
    private static final double CORNER = 0.08;

    /** Below so many pixels of track width only its outline is drawn. */
    private static final double SMALL_PX = 24;

    private static final Pen.Stroke SENSOR = new Pen.Stroke("ink-left", 2);

    private RobotMark() {}

    public static void draw(Pen pen, TableScale at, Pose pose, Setup setup) {
        draw(at(pen, at, pose), at.pxPerMm(), setup, new Pen.Stroke("ink-stop", 2));
    }

    /** The simulated robot, dashed like all that is simulated. */
    public static void drawBench(Pen pen, TableScale at, Pose pose, Setup setup) {
        draw(at(pen, at, pose), at.pxPerMm(), setup, new Pen.Stroke("ink-stop", 2, 6, 5));
    }

    private static Pen at(Pen pen, TableScale at, Pose pose) {
        return new PlacedPen(pen, at.px(pose.xMm()), at.py(pose.yMm()), pose.headingRad());
    }

    /** From the point it turns about to its foremost part, mm. */
    public static double frontMm(Setup setup) {
        double front = BEFORE * setup.robot().drive().trackWidthMm();
        for (Sensor sensor : setup.robot().sensors()) {
            front = Math.max(front, sensor.forwardMm());
        }
        return front;
    }

    /** From the point it turns about to its hindmost part, mm. */
    public static double backMm(Setup setup) {
        double back = BEHIND * setup.robot().drive().trackWidthMm();
        for (Sensor sensor : setup.robot().sensors()) {
            back = Math.max(back, -sensor.forwardMm());
        }
        return back;
    }

    /** @param robot a pen whose x goes forward from the point the robot turns about, and whose y goes to its right */
    public static void draw(Pen robot, double pxPerMm, Setup setup, Pen.Stroke body) {
        double track = setup.robot().drive().trackWidthMm() * pxPerMm;
        double back = BEHIND * track;
        double half = HALF_BODY * track;
        double front = Math.max(frontMm(setup) * pxPerMm, BEFORE * track);
        robot.roundedFrame(body, -back, -half, back + front, 2 * half, CORNER * track);
        robot.line(body, 0, -track / 2, 0, track / 2);
        if (track > SMALL_PX) {
            running(robot, setup, pxPerMm, body);
        }
        for (Sensor sensor : setup.robot().sensors()) {
            double radius = Math.max(LEAST_SPOT_PX, SPOT_SIGMAS * sensor.spotSigmaMm() * pxPerMm);
            robot.dot("ink-spot", sensor.forwardMm() * pxPerMm, -sensor.leftMm() * pxPerMm, radius);
            robot.ring(SENSOR, sensor.forwardMm() * pxPerMm, -sensor.leftMm() * pxPerMm, radius);
        }
    }

    /** Wheels or tracks, and a cross where it turns. */
    private static void running(Pen robot, Setup setup, double pxPerMm, Pen.Stroke body) {
        double track = setup.robot().drive().trackWidthMm() * pxPerMm;
        boolean tracks = setup.robot().chassis().tracks();
        double length = wheelLengthMm(setup) * pxPerMm;
        double width = (tracks ? TRACK : WHEEL) * track;
        for (int side : new int[] {-1, 1}) {
            double y = side * track / 2 - width / 2;
            robot.roundedFrame(body, -length / 2, y, length, width, tracks ? length / 6 : width / 4);
            for (int cleat = 1; tracks && cleat <= CLEATS; cleat++) {
                double x = -length / 2 + length * cleat / (CLEATS + 1);
                robot.line(body, x, y, x, y + width);
            }
        }
        double arm = track / 24;
        robot.line(body, -arm, -arm, arm, arm);
        robot.line(body, -arm, arm, arm, -arm);
    }

    /** Of a wheel or a track, along the robot. */
    public static double wheelLengthMm(Setup setup) {
        return 2
                * setup.robot().chassis().wheelRadiusMm()
                * (setup.robot().chassis().tracks() ? TRACK_LENGTH : 1);
    }
}
