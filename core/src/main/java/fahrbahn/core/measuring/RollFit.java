package fahrbahn.core.measuring;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.setup.Drive;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * Rolled distances at several commands: how fast the robot goes at full command, below which command it stands still, and how
 * straight it rolls. Speed is taken as a straight line above the dead zone, as {@link Drive} has it; weighted least squares.
 *
 * @param freeSpeedMmPerS at full command
 * @param deadZoneCommand 0 when all entries share one command, or where the fit puts it below 0
 * @param deadZoneLow where its 95 % interval begins: that of a ratio of two means (Fieller, J. R. Stat. Soc. B 16 (1954), 175-185), held
 *     between 0 and the least command that moved it, which is all that few entries can say when they say nothing
 * @param deadZoneHigh where it ends
 * @param mismatchShare how much faster the right wheel is than the left
 * @param crookedShare largest distance of a command's mean speed from the line, share of the speed there; 0 with two commands or
 *     fewer
 * @param perCommand mean speed at each command, mm/s
 */
public record RollFit(
        Measured freeSpeedMmPerS,
        Measured deadZoneCommand,
        double deadZoneLow,
        double deadZoneHigh,
        Measured mismatchShare,
        double crookedShare,
        Map<Double, Measured> perCommand) {
    /** A thumb on a stopwatch, start and stop together. */
    public static final double WATCH_ERROR_S = 0.1;

    /** A ruler laid beside a wheel that has rolled. */
    public static final double RULER_ERROR_MM = 2;

    /**
     * One roll.
     *
     * @param command of both wheels, above 0
     * @param distanceMm rolled after it has reached its speed, above 0
     * @param timeS above 0
     * @param asideMm how far it ended to the left of straight ahead, negative to the right
     */
    public record Roll(double command, double distanceMm, double timeS, double asideMm) {
        public Roll {
            Check.positive("command", command);
            Check.positive("distanceMm", distanceMm);
            Check.positive("timeS", timeS);
            Check.finite("asideMm", asideMm);
        }

        double speedMmPerS() {
            return distanceMm / timeS;
        }

        double speedErrorMmPerS() {
            return speedMmPerS() * Math.hypot(WATCH_ERROR_S / timeS, RULER_ERROR_MM / distanceMm);
        }

        /** On an arc that strays by y over a way L the turn is 2y/L, so the wheels' ways differ by 2y/L of the track width. */
        double mismatchShare(double trackWidthMm) {
            return 2 * asideMm * trackWidthMm / (distanceMm * distanceMm);
        }
    }

    /** @throws BadValueException when there is no roll, or speed does not grow with the command */
    public static RollFit of(List<Roll> rolls, Drive drive) {
        if (rolls.isEmpty()) {
            throw new BadValueException("rolls", 0, "at least 1");
        }
        Map<Double, List<Roll>> byCommand =
                rolls.stream().collect(Collectors.groupingBy(Roll::command, TreeMap::new, Collectors.toList()));
        Map<Double, Measured> speeds = new TreeMap<>();
        byCommand.forEach((command, same) -> speeds.put(
                command,
                Measured.mean(
                        same.stream().mapToDouble(Roll::speedMmPerS).toArray(),
                        same.stream()
                                .mapToDouble(Roll::speedErrorMmPerS)
                                .average()
                                .orElseThrow())));
        double[] mismatches = rolls.stream()
                .mapToDouble(r -> r.mismatchShare(drive.effectiveTrackWidthMm()))
                .toArray();
        double length = rolls.stream().mapToDouble(Roll::distanceMm).average().orElseThrow();
        Measured mismatch =
                Measured.mean(mismatches, 2 * RULER_ERROR_MM * drive.effectiveTrackWidthMm() / (length * length));
        return speeds.size() == 1
                ? proportional(speeds, mismatch, drive, rolls.size())
                : straight(speeds, mismatch, drive, rolls.size());
    }

    private static RollFit proportional(Map<Double, Measured> speeds, Measured mismatch, Drive drive, int entries) {
        double command = speeds.keySet().iterator().next();
        Measured speed = speeds.get(command);
        double deadZone = drive.traits().deadZoneCommand();
        Check.require(command > deadZone, "command", command, "above the dead zone, " + deadZone);
        double factor = (drive.fullCommand() - deadZone) / (command - deadZone);
        return new RollFit(
                new Measured(factor * speed.value(), factor * speed.standardError(), entries),
                new Measured(deadZone, 0, 1),
                0,
                command,
                mismatch,
                0,
                Map.copyOf(speeds));
    }

    private static RollFit straight(Map<Double, Measured> speeds, Measured mismatch, Drive drive, int entries) {
        double weights = 0;
        double u = 0;
        double v = 0;
        for (Map.Entry<Double, Measured> at : speeds.entrySet()) {
            double weight = 1 / square(at.getValue().standardError());
            weights += weight;
            u += weight * at.getKey();
            v += weight * at.getValue().value();
        }
        u /= weights;
        v /= weights;
        double uu = 0;
        double uv = 0;
        for (Map.Entry<Double, Measured> at : speeds.entrySet()) {
            double weight = 1 / square(at.getValue().standardError());
            uu += weight * square(at.getKey() - u);
            uv += weight * (at.getKey() - u) * (at.getValue().value() - v);
        }
        double slope = uv / uu;
        Check.require(slope > 0, "speed per command", slope, "above 0: the robot must roll faster at higher commands");
        double slopeError = Math.sqrt(1 / uu);
        double middleError = Math.sqrt(1 / weights);
        double full = drive.fullCommand();
        double deadZone = Math.max(0, u - v / slope);
        double crooked = 0;
        for (Map.Entry<Double, Measured> at : speeds.entrySet()) {
            double line = v + slope * (at.getKey() - u);
            crooked = Math.max(crooked, Math.abs(at.getValue().value() / line - 1));
        }
        double fullSpeed = v + slope * (full - u);
        Measured zone =
                new Measured(deadZone, Math.hypot(middleError / slope, v * slopeError / square(slope)), entries);
        double[] interval = zeroOfLine(u, v, slope, middleError, slopeError, zone.plusMinus() / zone.standardError());
        double least = speeds.keySet().iterator().next();
        return new RollFit(
                new Measured(fullSpeed, Math.hypot(middleError, slopeError * (full - u)), entries),
                zone,
                Math.max(0, Math.min(least, interval[0])),
                Math.max(0, Math.min(least, interval[1])),
                mismatch,
                speeds.size() > 2 ? crooked : 0,
                Map.copyOf(speeds));
    }

    /** Where a line through (u, v) meets zero, from and to. @param t how many standard errors the interval is wide to each side */
    private static double[] zeroOfLine(double u, double v, double slope, double vError, double slopeError, double t) {
        double ratio = v / slope;
        double g = square(t * slopeError / slope);
        if (g >= 1) {
            return new double[] {Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY}; // the slope itself may be none
        }
        double middle = ratio / (1 - g);
        double half = t / slope * Math.sqrt(square(vError) * (1 - g) + square(ratio * slopeError)) / (1 - g);
        return new double[] {u - middle - half, u - middle + half};
    }

    private static double square(double x) {
        return x * x;
    }
}
