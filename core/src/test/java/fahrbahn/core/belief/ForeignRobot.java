package fahrbahn.core.belief;

import fahrbahn.core.benchmark.HiddenTable;
import fahrbahn.core.law.UsualLaws;
import fahrbahn.core.path.PathTracker;
import fahrbahn.core.path.Pose;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import fahrbahn.core.table.Course;
import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.core.tuning.race.CourseProposals;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;

/**
 * A robot by other code than the twin: small steps instead of closed forms, a lag for each wheel, wheels that stick, spots that are discs with a sharp rim. Steers
 * by percent, on a course of straights and bends.
 */
final class ForeignRobot {
    private static final double DT_S = 5e-4;
    private static final double LOST_MM = 70;
    private static final double SEEN_RMS_MM = 2;
    private static final int JUDGED = 40;
    private static final double[] KPS = {0.15, 0.25, 0.4, 0.6, 0.9, 1.3, 2, 3};
    private static final double[] RATIOS = {0, 1, 2.5, 5, 10, 20};
    private static final double[] SPEEDS = {1, 0.8, 0.6, 0.45};

    private final Setup believed;
    private final Course course;
    private final SplittableRandom random;
    private final long seed;
    private final double lagLeftS;
    private final double lagRightS;
    private final double speed;
    private final double uneven;
    private final double widthMm;
    private final double discMm;
    private final double sticksBelow;
    private final double delayS;
    private double bestLapS = Double.NaN;
    private double bestLapAtSetSpeedS = Double.NaN;
    private int trials;

    ForeignRobot(Setup believed, Course course, long seed) {
        this.believed = believed;
        this.course = course;
        this.seed = seed;
        this.random = new SplittableRandom(seed);
        Drive drive = believed.robot().drive();
        double lag = drive.lagS() * about(0.45);
        lagLeftS = lag * about(0.15);
        lagRightS = lag * about(0.15);
        speed = drive.freeSpeedMmPerS() * about(0.12);
        uneven = 0.03 * (2 * random.nextDouble() - 1);
        widthMm = drive.trackWidthMm() * about(0.08);
        // A disc has the slope of a Gaussian at its middle when its radius is 1.6 times the other's sigma.
        discMm = 1.6 * believed.robot().sensors().get(0).spotSigmaMm() * about(0.3);
        sticksBelow = drive.fullCommand() * 0.08 * random.nextDouble();
        delayS = believed.robot().loop().delayS() * about(0.3);
    }

    private double about(double share) {
        return Math.exp(share * (2 * random.nextDouble() - 1));
    }

    /** What came of a run. */
    private record Ran(boolean round, double timeS, double rmsMm, double sMm, int swings, double swingS) {}

    private Ran run(Candidate setting, SplittableRandom chance) {
        double periodS = believed.robot().loop().periodS();
        List<Sensor> sensors = believed.lawSensors();
        Law law = believed.law();
        PathTracker[] eyes = new PathTracker[sensors.size()];
        for (int i = 0; i < eyes.length; i++) {
            eyes[i] = new PathTracker(course.path());
        }
        PathTracker middle = new PathTracker(course.path());
        double lead = believed.leadMm();
        double rides = sensors.size() > 1
                ? 0
                : (law.side() == Side.RIGHT ? -1 : 1) * believed.line().widthMm() / 2;
        Pose start = course.path().at(0).offset(0, rides + 3 * gauss(chance));
        double x = start.xMm();
        double y = start.yMm();
        double heading = start.headingRad() + 0.03 * gauss(chance);
        double battery = 1 + 0.03 * gauss(chance);
        double left = speed
                * battery
                * setting.baseCommand()
                / believed.robot().drive().fullCommand();
        double right = left;
        int delay = (int) Math.round(delayS / DT_S);
        double[] sentLeft = new double[delay + 1];
        double[] sentRight = new double[delay + 1];
        Arrays.fill(sentLeft, setting.baseCommand());
        Arrays.fill(sentRight, setting.baseCommand());
        double commandLeft = setting.baseCommand();
        double commandRight = setting.baseCommand();
        int perTick = (int) Math.round(periodS / DT_S);
        double previous = Double.NaN;
        double squares = 0;
        int ticks = 0;
        double s = 0;
        double off = 0;
        int side = 0;
        int swings = 0;
        double firstS = 0;
        double lastS = 0;
        double length = course.path().lengthMm() + lead;
        double mostS = 4
                * length
                / (speed * setting.baseCommand() / believed.robot().drive().fullCommand());
        for (int step = 0; step * DT_S < mostS; step++) {
            if (step % perTick == 0) {
                middle.moveTo(x + lead * Math.cos(heading), y + lead * Math.sin(heading));
                s = middle.sMm();
                off = middle.leftMm() - rides;
                if (Math.abs(middle.leftMm()) > LOST_MM || s < -100) {
                    return new Ran(false, 0, ticks == 0 ? 0 : Math.sqrt(squares / ticks), s, swings, lastS - firstS);
                }
                if (s >= length) {
                    return new Ran(true, step * DT_S, Math.sqrt(squares / ticks), s, swings, lastS - firstS);
                }
                squares += off * off;
                ticks++;
                int now = off > 0.8 ? 1 : off < -0.8 ? -1 : side;
                if (side < 0 && now > 0) {
                    firstS = swings == 0 ? step * DT_S : firstS;
                    lastS = step * DT_S;
                    swings++;
                }
                side = now;
                double[] read = new double[eyes.length];
                for (int i = 0; i < eyes.length; i++) {
                    Sensor eye = sensors.get(i);
                    eyes[i].moveTo(
                            x + eye.forwardMm() * Math.cos(heading) - eye.leftMm() * Math.sin(heading),
                            y + eye.forwardMm() * Math.sin(heading) + eye.leftMm() * Math.cos(heading));
                    double share = covered(eyes[i].leftMm());
                    double reading = eye.light() + share * (eye.dark() - eye.light()) + eye.noise() * gauss(chance);
                    read[i] = law.scale().scaled(eye, Math.rint(reading));
                }
                double error = eyes.length > 1 ? read[0] - read[1] : read[0] - law.target();
                double u = setting.kp() * error + setting.kd() * (Double.isNaN(previous) ? 0 : error - previous);
                previous = error;
                // Light left and dark right of the middle: the line lies to the right.
                double steer = eyes.length > 1 ? -u : law.side() == Side.RIGHT ? u : -u;
                boolean inner = believed.robot().drive().mixing() == Mixing.INNER_WHEEL;
                steer = inner ? Math.max(-100, Math.min(100, steer)) : steer;
                double base = setting.baseCommand();
                commandLeft = clamp(inner ? base * (steer > 0 ? 1 - steer / 50 : 1) : base - steer);
                commandRight = clamp(inner ? base * (steer < 0 ? 1 + steer / 50 : 1) : base + steer);
            }
            int at = step % (delay + 1);
            double goalLeft = speedOf(sentLeft[at], left) * battery * (1 - uneven / 2);
            double goalRight = speedOf(sentRight[at], right) * battery * (1 + uneven / 2);
            sentLeft[at] = commandLeft;
            sentRight[at] = commandRight;
            left += DT_S * (goalLeft - left) / lagLeftS;
            right += DT_S * (goalRight - right) / lagRightS;
            double v = (left + right) / 2;
            x += DT_S * v * Math.cos(heading);
            y += DT_S * v * Math.sin(heading);
            heading += DT_S * (right - left) / widthMm;
        }
        return new Ran(false, 0, Math.sqrt(squares / Math.max(1, ticks)), s, swings, lastS - firstS);
    }

    /** A wheel at rest sticks until its command is large enough. */
    private double speedOf(double command, double is) {
        boolean sticks = Math.abs(is) < 5 && Math.abs(command) < sticksBelow;
        return sticks ? 0 : speed * command / believed.robot().drive().fullCommand();
    }

    private double clamp(double command) {
        double full = believed.robot().drive().fullCommand();
        return Math.max(-full, Math.min(full, command));
    }

    /** Share of the disc that lies on the line. */
    private double covered(double offMm) {
        double half = believed.line().widthMm() / 2;
        return below((half - offMm) / discMm) - below((-half - offMm) / discMm);
    }

    private static double below(double t) {
        double c = Math.max(-1, Math.min(1, t));
        return 0.5 + (c * Math.sqrt(1 - c * c) + Math.asin(c)) / Math.PI;
    }

    private static double gauss(SplittableRandom chance) {
        return chance.nextGaussian();
    }

    Trial attempt(Candidate setting) {
        Ran ran = run(setting, new SplittableRandom(seed * 77 + trials++));
        boolean wiggles = ran.rmsMm() > SEEN_RMS_MM && ran.swings() > 3;
        Seen seen = wiggles
                ? Seen.WIGGLES
                : ran.round() ? Seen.SMOOTH : Sight.where(course.path().partAt(Math.max(0, ran.sMm())));
        if (random.nextDouble() < 0.05) {
            seen = Seen.values()[random.nextInt(Seen.values().length)];
        }
        boolean counts = seen == Seen.WIGGLES && ran.swings() > 3;
        return new Trial(
                setting.kp(),
                setting.kd(),
                setting.baseCommand(),
                seen,
                HiddenTable.saysFinish(seen) ? Trial.Finish.NOT_SAID : Trial.Finish.of(ran.round()),
                counts ? OptionalDouble.of(ran.swingS() / (ran.swings() - 1)) : OptionalDouble.empty(),
                counts ? ran.swings() - 1 : 0,
                ran.round() ? OptionalDouble.of(ran.timeS() + 0.15 * random.nextGaussian()) : OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    /** Whether a setting comes within a tenth of its best lap at any speed. */
    boolean solves(Candidate setting) {
        return lapS(setting) <= 1.1 * bestLapS();
    }

    /** The same for ways that keep their speed: of its best lap there, or at the next slower one at which any gains do it. */
    boolean solvesAtSetSpeed(Candidate setting) {
        return lapS(setting) <= 1.1 * bestLapAtSetSpeedS();
    }

    boolean solvable() {
        return Double.isFinite(bestLapS());
    }

    private double lapS(Candidate setting) {
        double time = 0;
        for (int i = 0; i < JUDGED; i++) {
            Ran ran = run(setting, new SplittableRandom(seed * 99 + i));
            if (!ran.round()) {
                return Double.POSITIVE_INFINITY;
            }
            time += ran.timeS() / JUDGED;
        }
        return time;
    }

    private double bestLapS() {
        if (Double.isNaN(bestLapS)) {
            bestLapS = Double.POSITIVE_INFINITY;
            for (double base : CourseProposals.bases(believed)) {
                double mmPerS = speed * base / believed.robot().drive().fullCommand();
                if (bestLapS < course.path().lengthMm() / mmPerS) {
                    break; // no slower one is quicker
                }
                bestLapS = Math.min(bestLapS, bestLapS(base));
            }
        }
        return bestLapS;
    }

    private double bestLapAtSetSpeedS() {
        if (Double.isNaN(bestLapAtSetSpeedS)) {
            bestLapAtSetSpeedS = Arrays.stream(SPEEDS)
                    .map(share -> bestLapS(share * believed.law().baseCommand()))
                    .filter(Double::isFinite)
                    .findFirst()
                    .orElse(Double.POSITIVE_INFINITY);
        }
        return bestLapAtSetSpeedS;
    }

    private double bestLapS(double base) {
        double unit = 2 * base / UsualLaws.top(believed);
        double least = Double.POSITIVE_INFINITY;
        for (double kp : KPS) {
            for (double ratio : RATIOS) {
                Candidate setting = new Candidate(kp * unit, ratio * kp * unit, base);
                Ran first = run(setting, new SplittableRandom(seed * 99));
                if (first.round() && first.timeS() < least) {
                    least = Math.min(least, lapS(setting));
                }
            }
        }
        return least;
    }
}
