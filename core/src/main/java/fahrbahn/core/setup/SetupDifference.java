package fahrbahn.core.setup;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/** What differs between two setups, setting by setting. */
public final class SetupDifference {
    private SetupDifference() {}

    /** Every setting that differs, in the order robot, line, law. */
    public static List<Cause> between(Setup before, Setup after) {
        List<Cause> found = new ArrayList<>(physical(before, after));
        Law a = before.law();
        Law b = after.law();
        add(found, Aspect.GAINS, "Kp", a.kp(), b.kp());
        add(found, Aspect.GAINS, "Ki", a.ki(), b.ki());
        add(found, Aspect.GAINS, "Kd", a.kd(), b.kd());
        return found;
    }

    /** The same without the gains themselves: everything that gains were chosen for. */
    public static List<Cause> physical(Setup before, Setup after) {
        List<Cause> found = new ArrayList<>();
        Drive driveA = before.robot().drive();
        Drive driveB = after.robot().drive();
        add(found, Aspect.DRIVE, "track width (mm)", driveA.trackWidthMm(), driveB.trackWidthMm());
        add(found, Aspect.DRIVE, "free speed (mm/s)", driveA.freeSpeedMmPerS(), driveB.freeSpeedMmPerS());
        add(found, Aspect.DRIVE, "wheel lag (s)", driveA.lagS(), driveB.lagS());
        add(
                found,
                Aspect.DRIVE,
                "mixing",
                driveA.mixing().word(),
                driveB.mixing().word());
        add(found, Aspect.DRIVE, "full command", driveA.fullCommand(), driveB.fullCommand());
        addTraits(found, driveA.traits(), driveB.traits());
        Chassis chassisA = before.robot().chassis();
        Chassis chassisB = after.robot().chassis();
        add(found, Aspect.LAYOUT, "support (mm)", chassisA.supportForwardMm(), chassisB.supportForwardMm());
        add(found, Aspect.HEIGHT, "sensor height (mm)", chassisA.sensorHeightMm(), chassisB.sensorHeightMm());
        add(found, Aspect.WHEELS, "wheel radius (mm)", chassisA.wheelRadiusMm(), chassisB.wheelRadiusMm());
        add(
                found,
                Aspect.WHEELS,
                "it runs on",
                chassisA.tracks() ? "tracks" : "wheels",
                chassisB.tracks() ? "tracks" : "wheels");
        add(
                found,
                Aspect.LOOP,
                "loop time (s)",
                before.robot().loop().periodS(),
                after.robot().loop().periodS());
        add(
                found,
                Aspect.LOOP,
                "delay (s)",
                before.robot().loop().delayS(),
                after.robot().loop().delayS());
        addSensors(found, before.robot().sensors(), after.robot().sensors());
        add(
                found,
                Aspect.LINE,
                "line width (mm)",
                before.line().widthMm(),
                after.line().widthMm());
        add(
                found,
                Aspect.LINE,
                "line",
                before.line().polarity().word(),
                after.line().polarity().word());
        add(
                found,
                Aspect.BEND,
                "tightest bend (mm)",
                before.line().tightestRadiusMm(),
                after.line().tightestRadiusMm());
        Law lawA = before.law();
        Law lawB = after.law();
        add(found, Aspect.LAW, "law", lawA.signal().word(), lawB.signal().word());
        add(found, Aspect.LAW, "edge", lawA.side().word(), lawB.side().word());
        add(found, Aspect.LAW, "scale", lawA.scale().word(), lawB.scale().word());
        add(found, Aspect.LAW, "target", lawA.target(), lawB.target());
        add(found, Aspect.LAW, "base command", lawA.baseCommand(), lawB.baseCommand());
        addOptions(found, lawA.options(), lawB.options());
        return found;
    }

    private static void addOptions(List<Cause> found, Options a, Options b) {
        add(found, Aspect.LAW, "weights", a.weights(), b.weights());
        add(found, Aspect.LAW, "steps", a.steps(), b.steps());
        add(found, Aspect.LAW, "hysteresis", a.hysteresis(), b.hysteresis());
        add(found, Aspect.LAW, "patterns", a.patterns(), b.patterns());
        add(found, Aspect.LAW, "thresholds", a.thresholds(), b.thresholds());
        add(found, Aspect.LAW, "what happens when the line is lost", a.lost(), b.lost());
        add(found, Aspect.LAW, "emergency sensors", a.outer(), b.outer());
        add(found, Aspect.LAW, "limits", a.limits(), b.limits());
        add(found, Aspect.LAW, "turn marks", a.turnMarks(), b.turnMarks());
        add(found, Aspect.LAW, "way round an obstacle", a.obstacle(), b.obstacle());
    }

    private static void addTraits(List<Cause> found, Traits a, Traits b) {
        add(found, Aspect.DRIVE, "reversing", a.mayReverse() ? "yes" : "no", b.mayReverse() ? "yes" : "no");
        add(found, Aspect.DRIVE, "battery (share)", a.batteryShare(), b.batteryShare());
        add(
                found,
                Aspect.DRIVE,
                "dead zone",
                a.curve().deadZoneCommand(),
                b.curve().deadZoneCommand());
        add(
                found,
                Aspect.DRIVE,
                "sag of the speed (share)",
                a.curve().sagShare(),
                b.curve().sagShare());
        add(
                found,
                Aspect.DRIVE,
                "breakaway",
                a.curve().breakawayCommand(),
                b.curve().breakawayCommand());
        add(
                found,
                Aspect.DRIVE,
                "holding",
                a.curve().holdingCommand(),
                b.curve().holdingCommand());
        add(found, Aspect.DRIVE, "wheel mismatch (share)", a.mismatchShare(), b.mismatchShare());
        add(found, Aspect.DRIVE, "slip (share)", a.slipShare(), b.slipShare());
        add(found, Aspect.DRIVE, "scrub", a.scrub(), b.scrub());
    }

    private static void addSensors(List<Cause> found, List<Sensor> before, List<Sensor> after) {
        add(found, Aspect.LAYOUT, "number of sensors", before.size(), after.size());
        for (int i = 0; i < Math.min(before.size(), after.size()); i++) {
            Sensor a = before.get(i);
            Sensor b = after.get(i);
            String of = " of sensor " + b.name();
            add(found, Aspect.LAYOUT, "name" + of, a.name(), b.name());
            add(found, Aspect.LAYOUT, "lead (mm)" + of, a.forwardMm(), b.forwardMm());
            add(found, Aspect.LAYOUT, "place (mm)" + of, a.leftMm(), b.leftMm());
            add(found, Aspect.LAYOUT, "spot (mm)" + of, a.spotSigmaMm(), b.spotSigmaMm());
            add(found, Aspect.SURFACES, "dark" + of, a.dark(), b.dark());
            add(found, Aspect.SURFACES, "light" + of, a.light(), b.light());
            add(found, Aspect.SURFACES, "noise" + of, a.noise(), b.noise());
            add(found, Aspect.SURFACES, "step" + of, a.step(), b.step());
            add(
                    found,
                    Aspect.LAYOUT,
                    "channel" + of,
                    a.channel().word(),
                    b.channel().word());
        }
    }

    private static void add(List<Cause> found, Aspect aspect, String what, Object before, Object after) {
        if (!Objects.equals(before, after)) {
            found.add(new Cause(aspect, what, before, after));
        }
    }
}
