package fahrbahn.core.drill;

import fahrbahn.core.loop.BendFloor;
import fahrbahn.core.loop.LaneReport;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * A robot of a drill, set up well but for its fault.
 *
 * @param real as it is
 * @param believed as its team has it
 * @param swapped whether the plugs of its two sensors were changed
 * @param batteryShare of the speed at the first lap @param batteryPerLap of it that is left a lap later
 * @param mismatchShare how much faster the right wheel is
 * @param spoilt by what its readings are; empty where they are as they ought to be
 */
record DrillRobot(
        Setup real,
        Setup believed,
        boolean swapped,
        double batteryShare,
        double batteryPerLap,
        double mismatchShare,
        Optional<DrillFault> spoilt) {
    /** Beyond wiggle onset, and below the bend floor: so far that it shows, and the robot still drives. */
    private static final double SHARP = 1.3;

    private static final double SOFT = 0.5;

    /** Of the speed, where it is driven slower. */
    private static final double SLOW = 0.75;

    private static DrillRobot sound(Setup setup) {
        return new DrillRobot(setup, setup, false, 1, 1, 0, Optional.empty());
    }

    private DrillRobot with(Setup newReal, Setup newBelieved) {
        return new DrillRobot(newReal, newBelieved, swapped, batteryShare, batteryPerLap, mismatchShare, spoilt);
    }

    private DrillRobot withReal(Setup newReal) {
        return with(newReal, believed);
    }

    private DrillRobot withSwapped(boolean newSwapped) {
        return new DrillRobot(real, believed, newSwapped, batteryShare, batteryPerLap, mismatchShare, spoilt);
    }

    private DrillRobot withBattery(double share, double perLap) {
        return new DrillRobot(real, believed, swapped, share, perLap, mismatchShare, spoilt);
    }

    private DrillRobot withMismatch(double share) {
        return new DrillRobot(real, believed, swapped, batteryShare, batteryPerLap, share, spoilt);
    }

    private DrillRobot spoiltBy(Optional<DrillFault> what) {
        return new DrillRobot(real, believed, swapped, batteryShare, batteryPerLap, mismatchShare, what);
    }

    /** The same robot when that was done to it; what was in order stays so. */
    DrillRobot after(Remedy remedy) {
        Law law = believed.law();
        Robot asBelieved = believed.robot();
        return switch (remedy) {
            case STIFFER -> withGains(2 * law.kp(), 2 * law.kd());
            case SOFTER -> withGains(law.kp() / 2, law.kd() / 2);
            case DAMPING -> withGains(law.kp(), 2 * law.kp());
            case SLOWER ->
                with(
                        real.withLaw(real.law().withBaseCommand(SLOW * law.baseCommand())),
                        believed.withLaw(law.withBaseCommand(SLOW * law.baseCommand())));
            case FIND_THE_LAG ->
                withReal(real.withDrive(
                        real.robot().drive().withLagS(asBelieved.drive().lagS())));
            case CHANGE_PLUGS -> withSwapped(!swapped);
            case OTHER_EDGE ->
                withReal(real.withLaw(real.law().withSide(real.law().side() == Side.LEFT ? Side.RIGHT : Side.LEFT)));
            case NEW_LEVELS ->
                with(
                        real,
                        believed.withRobot(asBelieved.withSensors(real.robot().sensors())));
            case QUICKER_LOOP -> withReal(real.withLoop(asBelieved.loop()));
            case CHANGE_WHEEL -> withMismatch(0);
            case CHANGE_BATTERY -> withBattery(1, 1);
            case SHADE -> withoutSpoil(DrillFault.GLARE);
            case SMOOTH_MAT -> withoutSpoil(DrillFault.CREASE);
            case HIGHER -> withoutSpoil(DrillFault.SATURATED);
        };
    }

    private DrillRobot withGains(double kp, double kd) {
        return with(gains(real, kp, kd), gains(believed, kp, kd));
    }

    private DrillRobot withoutSpoil(DrillFault what) {
        return spoiltBy(spoilt.filter(f -> f != what));
    }

    static DrillRobot draw(Random random, DrillFault fault) {
        boolean pair = fault == DrillFault.SWAPPED || fault != DrillFault.WRONG_EDGE && random.nextBoolean();
        Setup sound = sound(random, pair);
        double more = random.nextDouble();
        Drive drive = sound.robot().drive();
        Loop loop = sound.robot().loop();
        LaneReport report = LaneReport.of(sound);
        return switch (fault) {
            case TOO_SOFT -> {
                double kp = (SOFT + 0.3 * more) * BendFloor.kp(sound);
                yield sound(gains(sound, kp, 2 * kp));
            }
            case TOO_SHARP -> {
                double kp = (SHARP + 0.5 * more)
                        * report.wiggleWithKdTwiceKp().orElseThrow().kp();
                yield sound(gains(sound, kp, 2 * kp));
            }
            case NO_DAMPING ->
                sound(gains(
                        sound,
                        (SHARP + 0.5 * more) * report.wiggle().orElseThrow().kp(),
                        0));
            case LAG -> sound(sound).withReal(sound.withDrive(drive.withLagS(drive.lagS() + 0.03 + 0.02 * more)));
            case SWAPPED -> sound(sound).withSwapped(true);
            case WRONG_EDGE -> sound(sound).withReal(sound.withLaw(sound.law().withSide(Side.LEFT)));
            case LEVELS -> sound(sound).withReal(lit(sound, 1.22 + 0.1 * more));
            case SLOW_LOOP ->
                sound(sound).withReal(sound.withLoop(new Loop((1.35 + 0.2 * more) * loop.periodS(), loop.delayS())));
            case WORN_WHEELS -> sound(sound).withMismatch((random.nextBoolean() ? 1 : -1) * (0.12 + 0.06 * more));
            case FLAT_BATTERY -> sound(sound).withBattery(0.93 - 0.03 * more, 0.97 - 0.01 * more);
            case GLARE, CREASE, SATURATED -> sound(sound).spoiltBy(Optional.of(fault));
        };
    }

    private static Setup sound(Random random, boolean pair) {
        Drive drive = new Drive(
                110 + 30 * random.nextDouble(),
                480 + 160 * random.nextDouble(),
                0.025 + 0.03 * random.nextDouble(),
                Mixing.DIFFERENCE,
                100);
        Loop loop = new Loop(0.008 + 0.004 * random.nextDouble(), 0.003 + 0.006 * random.nextDouble());
        double lead = 48 + 16 * random.nextDouble();
        double dark = Math.rint(8 + 12 * random.nextDouble());
        double light = Math.rint(60 + 25 * random.nextDouble());
        List<Sensor> sensors = pair
                ? List.of(sensor("left", lead, 12, dark, light), sensor("right", lead, -12, dark + 2, light - 3))
                : List.of(sensor("eye", lead, 0, dark, light));
        Law law = new Law(pair ? ErrorSignal.PAIR : ErrorSignal.EDGE, Side.RIGHT, Scale.PERCENT, 50, 0.3, 0, 0.6, 40);
        Setup setup =
                new Setup(new Robot("stranger", drive, loop, sensors), new Line(24, Polarity.DARK_ON_LIGHT, 160), law);
        double onset = LaneReport.of(setup).wiggleWithKdTwiceKp().orElseThrow().kp();
        double kp = Math.sqrt(onset * BendFloor.kp(setup));
        return gains(setup, kp, 2 * kp);
    }

    private static Sensor sensor(String name, double forwardMm, double leftMm, double dark, double light) {
        return new Sensor(name, forwardMm, leftMm, 3.4, dark, light, 0.6, 1);
    }

    private static Setup gains(Setup setup, double kp, double kd) {
        return setup.withLaw(setup.law().withGains(kp, 0, kd));
    }

    private static Setup lit(Setup setup, double times) {
        return setup.withRobot(setup.robot()
                .withSensors(setup.robot().sensors().stream()
                        .map(s -> s.withSurfaces(s.dark() * times, s.light() * times, s.noise()))
                        .toList()));
    }
}
