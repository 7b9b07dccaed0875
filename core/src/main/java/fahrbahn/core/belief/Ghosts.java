package fahrbahn.core.belief;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.path.Novelty;
import fahrbahn.core.path.Path;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import fahrbahn.core.setup.Traits;
import fahrbahn.core.table.Ground;
import fahrbahn.core.table.SeenTable;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.Arrays;
import java.util.List;

/** Drives robots that may be the one. A table is painted once for each of a few spots, and a robot's is the nearest of them. */
public final class Ghosts {
    /** An evening's differences, but for the height, which is in the robots' slopes already, and for jitter, which costs more than it shows; the others are a third larger for it. */
    public static final Spread EVENING = new Spread(4, 0.04, 0.04, 0.12, 0.015, 0.05, 0, 0);

    private static final double[] SPOTS = {0.46, 0.6, 0.77, 1, 1.3, 1.7, 2.4};

    /** They drive on for so long after the last part that is unlike those before it: the rest tells nothing new. */
    private static final double BEYOND_MM = 100;

    private static final double WORTH_CUTTING = 0.9;

    private final Setup setup;
    private final List<Track> tracks;
    private final double lapPerWay;

    /** Paints the table for each spot. */
    public Ghosts(Setup setup, Ground ground, Workers workers, Job job) {
        this.setup = setup;
        Track[] painted = new Track[SPOTS.length];
        workers.run(
                SPOTS.length,
                i -> painted[i] =
                        Track.of(ground, setup.withRobot(withSpot(setup.robot(), SPOTS[i])), SeenTable.Cells.COARSE),
                job);
        double whole = painted[0].finishMm();
        double until = Novelty.untilMm(ground.path()) + BEYOND_MM + Math.max(0, setup.leadMm());
        boolean shorter = until < WORTH_CUTTING * whole && !ground.path().endsRound();
        this.tracks = Arrays.stream(painted)
                .map(track -> shorter ? track.until(until) : track)
                .toList();
        this.lapPerWay = whole / tracks.get(0).finishMm();
    }

    /** Time for the whole course, by the way that was driven. */
    double lapS(RunResult run) {
        return lapPerWay * run.timeS();
    }

    private static Robot withSpot(Robot robot, double times) {
        List<Sensor> sensors = robot.sensors().stream()
                .map(s -> s.withSpotSigmaMm(times * s.spotSigmaMm()))
                .toList();
        return robot.withSensors(sensors);
    }

    private Track track(double slope) {
        int nearest = 0;
        for (int i = 1; i < SPOTS.length; i++) {
            if (Math.abs(Math.log(SPOTS[i] * slope)) < Math.abs(Math.log(SPOTS[nearest] * slope))) {
                nearest = i;
            }
        }
        return tracks.get(nearest);
    }

    /** @return the run, or null where the setting is none this robot can take */
    public RunResult run(Particle ghost, Candidate setting, Start start) {
        Track track = track(ghost.slope());
        try {
            return Twin.run(track, as(track.setup(), ghost, setting), mirrored() ? start.mirrored() : start);
        } catch (BadValueException impossible) {
            return null;
        }
    }

    /** On the other edge all is drawn in a mirror, so that a mirrored robot is told the same. */
    private boolean mirrored() {
        return mirrored(setup);
    }

    private static boolean mirrored(Setup setup) {
        return setup.law().signal().tracksEdge() && setup.law().side() == Side.LEFT;
    }

    /** How much faster the right wheel is, of a robot that may be drawn in a mirror. */
    double mismatch(Particle ghost) {
        return mismatch(setup, ghost);
    }

    private static double mismatch(Setup setup, Particle ghost) {
        return mirrored(setup) ? -ghost.mismatch() : ghost.mismatch();
    }

    /** The robot itself, spot and all. */
    public static Setup become(Setup setup, Particle ghost) {
        Candidate as =
                new Candidate(setup.law().kp(), setup.law().kd(), setup.law().baseCommand());
        return as(setup.withRobot(withSpot(setup.robot(), 1 / ghost.slope())), ghost, as);
    }

    private static Setup as(Setup seen, Particle ghost, Candidate setting) {
        Drive drive = seen.robot().drive();
        Traits traits = drive.traits();
        double widest = 2 * seen.line().tightestRadiusMm() / drive.trackWidthMm();
        Drive driven = new Drive(
                drive.trackWidthMm(),
                drive.freeSpeedMmPerS() * ghost.speed(),
                drive.lagS() * ghost.lag(),
                drive.mixing(),
                drive.fullCommand(),
                traits.withScrub(Math.min(widest, traits.scrub() * ghost.width()))
                        .withMismatchShare(traits.mismatchShare() + mismatch(seen, ghost)));
        Loop loop = seen.robot().loop();
        return seen.withRobot(seen.robot()
                        .withDrive(driven)
                        .withLoop(new Loop(loop.periodS(), loop.delayS() * ghost.delay())))
                .withLaw(seen.law()
                        .withGains(setting.kp(), seen.law().ki(), setting.kd())
                        .withBaseCommand(setting.baseCommand()));
    }

    /** A robot that may be the one, at another speed. */
    public Setup become(Particle ghost, double baseCommand) {
        return become(setup.withLaw(setup.law().withBaseCommand(baseCommand)), ghost);
    }

    /** The way that is driven, at the speed of a straight line. */
    public double straightLapS(Particle ghost, double baseCommand) {
        return tracks.get(0).finishMm() / become(ghost, baseCommand).speedMmPerS();
    }

    Setup setup() {
        return setup;
    }

    Path path() {
        return tracks.get(0).path();
    }
}
