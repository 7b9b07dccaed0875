package fahrbahn.core.setup;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * One setting that differs between two setups: what made a result stale, or what two groups of runs did differently.
 *
 * @param setting in the coach's words, with its unit
 * @param before in the earlier setup
 * @param after in the later setup
 */
public record SetupDifference(String setting, String before, String after) {
    /** Every setting that differs, in the order robot, line, law. */
    public static List<SetupDifference> between(Setup before, Setup after) {
        List<SetupDifference> found = new ArrayList<>(physical(before, after));
        Law a = before.law();
        Law b = after.law();
        add(found, "Kp", a.kp(), b.kp());
        add(found, "Ki", a.ki(), b.ki());
        add(found, "Kd", a.kd(), b.kd());
        return found;
    }

    /** The same without the gains themselves: everything that gains were chosen for. */
    public static List<SetupDifference> physical(Setup before, Setup after) {
        List<SetupDifference> found = new ArrayList<>();
        Drive driveA = before.robot().drive();
        Drive driveB = after.robot().drive();
        add(found, "track width (mm)", driveA.trackWidthMm(), driveB.trackWidthMm());
        add(found, "free speed (mm/s)", driveA.freeSpeedMmPerS(), driveB.freeSpeedMmPerS());
        add(found, "wheel lag (s)", driveA.lagS(), driveB.lagS());
        add(found, "mixing", driveA.mixing().word(), driveB.mixing().word());
        add(found, "full command", driveA.fullCommand(), driveB.fullCommand());
        addTraits(found, driveA.traits(), driveB.traits());
        Chassis chassisA = before.robot().chassis();
        Chassis chassisB = after.robot().chassis();
        add(found, "support (mm)", chassisA.supportForwardMm(), chassisB.supportForwardMm());
        add(found, "sensor height (mm)", chassisA.sensorHeightMm(), chassisB.sensorHeightMm());
        add(found, "wheel radius (mm)", chassisA.wheelRadiusMm(), chassisB.wheelRadiusMm());
        add(found, "it runs on", chassisA.tracks() ? "tracks" : "wheels", chassisB.tracks() ? "tracks" : "wheels");
        add(
                found,
                "loop time (s)",
                before.robot().loop().periodS(),
                after.robot().loop().periodS());
        add(
                found,
                "delay (s)",
                before.robot().loop().delayS(),
                after.robot().loop().delayS());
        addSensors(found, before.robot().sensors(), after.robot().sensors());
        add(found, "line width (mm)", before.line().widthMm(), after.line().widthMm());
        add(
                found,
                "line",
                before.line().polarity().word(),
                after.line().polarity().word());
        add(
                found,
                "tightest bend (mm)",
                before.line().tightestRadiusMm(),
                after.line().tightestRadiusMm());
        Law lawA = before.law();
        Law lawB = after.law();
        add(found, "law", lawA.kind().word(), lawB.kind().word());
        add(found, "edge", lawA.side().word(), lawB.side().word());
        add(found, "scale", lawA.scale().word(), lawB.scale().word());
        add(found, "target", lawA.target(), lawB.target());
        add(found, "base command", lawA.baseCommand(), lawB.baseCommand());
        addOptions(found, lawA.options(), lawB.options());
        return found;
    }

    private static void addOptions(List<SetupDifference> found, Options a, Options b) {
        add(found, "weights", a.weights(), b.weights());
        add(found, "steps", a.steps(), b.steps());
        add(found, "hysteresis", a.hysteresis(), b.hysteresis());
        add(found, "patterns", a.patterns(), b.patterns());
        add(found, "what happens when the line is lost", a.lost(), b.lost());
        add(found, "emergency sensors", a.outer(), b.outer());
        add(found, "limits", a.limits(), b.limits());
    }

    private static void addTraits(List<SetupDifference> found, Traits a, Traits b) {
        add(found, "reversing", a.mayReverse() ? "yes" : "no", b.mayReverse() ? "yes" : "no");
        add(found, "battery (share)", a.batteryShare(), b.batteryShare());
        add(found, "dead zone", a.deadZoneCommand(), b.deadZoneCommand());
        add(found, "wheel mismatch (share)", a.mismatchShare(), b.mismatchShare());
        add(found, "slip (share)", a.slipShare(), b.slipShare());
        add(found, "scrub", a.scrub(), b.scrub());
    }

    private static void addSensors(List<SetupDifference> found, List<Sensor> before, List<Sensor> after) {
        add(found, "number of sensors", before.size(), after.size());
        for (int i = 0; i < Math.min(before.size(), after.size()); i++) {
            Sensor a = before.get(i);
            Sensor b = after.get(i);
            String of = " of sensor " + b.name();
            add(found, "name" + of, a.name(), b.name());
            add(found, "lead (mm)" + of, a.forwardMm(), b.forwardMm());
            add(found, "place (mm)" + of, a.leftMm(), b.leftMm());
            add(found, "spot (mm)" + of, a.spotSigmaMm(), b.spotSigmaMm());
            add(found, "dark" + of, a.dark(), b.dark());
            add(found, "light" + of, a.light(), b.light());
            add(found, "noise" + of, a.noise(), b.noise());
            add(found, "step" + of, a.step(), b.step());
            add(found, "channel" + of, a.channel().word(), b.channel().word());
        }
    }

    private static void add(List<SetupDifference> found, String setting, Object before, Object after) {
        if (!Objects.equals(before, after)) {
            found.add(new SetupDifference(setting, text(before), text(after)));
        }
    }

    /** Four significant digits, a decimal point, no trailing zeros. */
    private static String text(Object value) {
        if (!(value instanceof Double number) || number == 0) {
            return value instanceof Double ? "0" : String.valueOf(value);
        }
        return new BigDecimal(number)
                .round(new MathContext(4))
                .stripTrailingZeros()
                .toPlainString();
    }

    @Override
    public String toString() {
        return setting + " " + before + " to " + after;
    }
}
