package fahrbahn.core.measuring;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.SpeedCurve;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * Rolled distances at several commands: how fast the robot goes at full command, below which command it stands still, how its speed bends
 * with the command, and how straight it rolls. Speed is as {@link SpeedCurve} has it: from three commands on its bend is fitted too.
 *
 * @param freeSpeedMmPerS at full command
 * @param deadZoneCommand 0 when all entries share one command, or where the fit puts it below 0
 * @param deadZoneLow where its 95 % interval begins: the commands at which the fitted speed may be nothing (for a straight line that is
 *     Fieller's interval of a ratio, J. R. Stat. Soc. B 16 (1954), 175-185), held between 0 and the least command that moved it
 * @param deadZoneHigh where it ends
 * @param sagShare how the speed bends; empty with two commands or fewer, and where they lie too near each other to tell
 * @param mismatchShare how much faster the right wheel is than the left; empty where no roll has its drift measured
 * @param crookedShare largest distance of a command's mean speed from the curve, share of the speed there; 0 where the commands are no more
 *     than the curve has numbers
 * @param perCommand mean speed at each command, mm/s
 */
public record RollFit(
        Measured freeSpeedMmPerS,
        Measured deadZoneCommand,
        double deadZoneLow,
        double deadZoneHigh,
        Optional<Measured> sagShare,
        Optional<Measured> mismatchShare,
        double crookedShare,
        Map<Double, Measured> perCommand) {
    /** A bend known no better than this, one standard error, is not told from none: half of what a curve can have. */
    private static final double UNTOLD = SpeedCurve.MOST_SAG / 2;

    private static final int STEPS = 4000;

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
     * @param asideMm how far it ended to the left of straight ahead, negative to the right; NaN where it was not measured
     */
    public record Roll(double command, double distanceMm, double timeS, double asideMm) {
        public Roll {
            Check.positive("command", command);
            Check.positive("distanceMm", distanceMm);
            Check.positive("timeS", timeS);
            if (!Double.isNaN(asideMm)) {
                Check.finite("asideMm", asideMm);
            }
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
        SortedMap<Double, Measured> speeds = new TreeMap<>();
        byCommand.forEach((command, same) -> speeds.put(
                command,
                Measured.mean(
                        same.stream().mapToDouble(Roll::speedMmPerS).toArray(),
                        same.stream()
                                .mapToDouble(Roll::speedErrorMmPerS)
                                .average()
                                .orElseThrow())));
        Optional<Measured> mismatch = mismatch(
                rolls.stream().filter(r -> !Double.isNaN(r.asideMm())).toList(), drive.effectiveTrackWidthMm());
        return speeds.size() == 1
                ? proportional(speeds, mismatch, drive, rolls.size())
                : curved(speeds, mismatch, drive, rolls.size());
    }

    private static Optional<Measured> mismatch(List<Roll> rolls, double trackWidthMm) {
        if (rolls.isEmpty()) {
            return Optional.empty();
        }
        double[] shares =
                rolls.stream().mapToDouble(r -> r.mismatchShare(trackWidthMm)).toArray();
        double lengthMm = rolls.stream().mapToDouble(Roll::distanceMm).average().orElseThrow();
        return Optional.of(Measured.mean(shares, 2 * RULER_ERROR_MM * trackWidthMm / (lengthMm * lengthMm)));
    }

    private static RollFit proportional(
            SortedMap<Double, Measured> speeds, Optional<Measured> mismatch, Drive drive, int entries) {
        double command = speeds.firstKey();
        Measured speed = speeds.get(command);
        SpeedCurve curve = drive.traits().curve();
        double full = drive.fullCommand();
        double deadZone = curve.deadZoneCommand();
        Check.require(command > deadZone, "command", command, "above the dead band, " + deadZone);
        double factor = (full - deadZone) / curve.driving(command, full);
        return new RollFit(
                new Measured(factor * speed.value(), factor * speed.standardError(), entries),
                new Measured(deadZone, 0, 1),
                0,
                command,
                Optional.empty(),
                mismatch,
                0,
                Map.copyOf(speeds));
    }

    private static RollFit curved(
            SortedMap<Double, Measured> speeds, Optional<Measured> mismatch, Drive drive, int entries) {
        double full = drive.fullCommand();
        double least = speeds.firstKey();
        SpeedPolynomial line = SpeedPolynomial.of(speeds, full, 0, 1);
        double slope = line.slopeAt(least);
        Check.require(slope > 0, "speed per command", slope, "above 0: the robot must roll faster at higher commands");
        Optional<SpeedPolynomial> bent = bent(speeds, full);
        // What dead zone and bend may be is asked of a curve that is free to meet zero anywhere.
        SpeedPolynomial free = speeds.size() > 2 ? SpeedPolynomial.of(speeds, full, 0, 2) : line;
        SpeedPolynomial curve = bent.orElse(line);
        double deadZone = Math.max(0, Math.min(least, curve.zeroBelow(least)));
        Measured zone = new Measured(deadZone, free.errorAt(deadZone) * (full - deadZone) / curve.at(full), entries);
        double[] interval = mayBeNothing(free, deadZone, least, zone.plusMinus() / zone.standardError());
        Optional<Measured> sag =
                bent.map(b -> new Measured(sag(b, full, least), free.errorOf(p -> sag(p, full, least)), entries));
        return new RollFit(
                new Measured(curve.at(full), (bent.isPresent() ? curve : free).errorAt(full), entries),
                zone,
                interval[0],
                interval[1],
                sag,
                mismatch,
                speeds.size() > (bent.isPresent() ? 3 : 2) ? crooked(speeds, curve) : 0,
                Map.copyOf(speeds));
    }

    /** The bent curve; empty with fewer than three commands, or where they do not tell the bend. */
    private static Optional<SpeedPolynomial> bent(SortedMap<Double, Measured> speeds, double full) {
        if (speeds.size() < 3) {
            return Optional.empty();
        }
        double least = speeds.firstKey();
        SpeedPolynomial free = SpeedPolynomial.of(speeds, full, 0, 2);
        SpeedPolynomial curve = free.zeroBelow(least) < 0 ? SpeedPolynomial.of(speeds, full, 1, 2) : free;
        boolean told = curve.at(least) > 0
                && curve.at(full) > 0
                && Math.abs(sag(curve, full, least)) < SpeedCurve.MOST_SAG
                && free.errorOf(p -> sag(p, full, least)) < UNTOLD;
        return told ? Optional.of(curve) : Optional.empty();
    }

    private static double sag(SpeedPolynomial curve, double full, double least) {
        return 1 - curve.slopeAt(full) * (full - Math.max(0, curve.zeroBelow(least))) / curve.at(full);
    }

    private static double crooked(SortedMap<Double, Measured> speeds, SpeedPolynomial curve) {
        double most = 0;
        for (Map.Entry<Double, Measured> at : speeds.entrySet()) {
            most = Math.max(most, Math.abs(at.getValue().value() / curve.at(at.getKey()) - 1));
        }
        return most;
    }

    /** From and to which command, between 0 and the least that moved it, the speed may be nothing. @param t standard errors to each side */
    private static double[] mayBeNothing(SpeedPolynomial curve, double zero, double least, double t) {
        double low = zero;
        while (low > 0 && curve.at(low) >= -t * curve.errorAt(low)) {
            low = Math.max(0, low - least / STEPS);
        }
        double high = zero;
        while (high < least && curve.at(high) <= t * curve.errorAt(high)) {
            high = Math.min(least, high + least / STEPS);
        }
        return new double[] {low, high};
    }
}
