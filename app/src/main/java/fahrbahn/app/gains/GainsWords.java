package fahrbahn.app.gains;

import fahrbahn.app.season.Verdict;
import fahrbahn.core.loop.GainAdvice;
import fahrbahn.core.loop.LaneReport;
import fahrbahn.core.loop.SpeedFloor;
import fahrbahn.core.setup.Law;
import fahrbahn.core.statistics.Completion;
import fahrbahn.core.tuning.LanePicture;
import fahrbahn.core.tuning.TwinAdvice;
import fahrbahn.words.ChanceWords;
import fahrbahn.words.Words;
import java.util.Optional;

/** Gains in sentences. */
final class GainsWords {
    private static final double LITTLE_ROOM = 1.5;

    /** Where the two models differ, and by how much (OnsetGridTest). */
    private static final String THEORY = "Estimate is ±10 %.";

    private GainsWords() {}

    /** What the limits leave out, and what the dotted edges of the lane are. */
    static String theory(LanePicture picture) {
        return THEORY
                + picture.wiggleKpByBattery()
                        .map(kps -> " Dotted edges: " + Words.number(kps[1]) + " with a full battery, "
                                + Words.number(kps[0]) + " with a low one.")
                        .orElse("");
    }

    /** From the slowest base command that keeps both wheels turning to the fastest at which some gain is calm; nothing of an end that is not known. */
    static String speeds(LanePicture picture) {
        String slowest = picture.slowest()
                .map(floor -> "Base speed at least " + Words.number(floor.baseCommand(), 2) + " ("
                        + Words.number(floor.speedMmPerS(), 2) + " mm/s): below it "
                        + (floor.why() == SpeedFloor.Why.START
                                ? "the wheels do not start."
                                : "the inner wheel stutters in the tightest bend."))
                .orElse("");
        String fastest = picture.lane()
                .ceilingSpeedMmPerS()
                .filter(v -> v > 0)
                .map(v -> " At most " + Words.number(v) + " mm/s: faster, every Kp wiggles or leaves the bends.")
                .orElse("");
        return (slowest + fastest).strip();
    }

    static Verdict verdict(LanePicture picture) {
        Law law = picture.setup().law();
        LaneReport report = picture.report();
        String gains = "Kp " + Words.number(law.kp()) + ", Kd " + Words.number(law.kd());
        String next = next(picture);
        if (!(report.spectralRadius() < 1)) {
            return Verdict.stop(gains + " wiggles at " + Words.number(report.speedMmPerS()) + " mm/s"
                    + picture.wiggleKp().map(kp -> calm(picture, kp)).orElse("")
                    + "." + next);
        }
        String bend = Words.millimetres(picture.setup().line().tightestRadiusMm()) + " bend";
        if (Double.isInfinite(report.bendKp())) {
            return Verdict.stop("No Kp holds the " + bend + ": too tight for these sensors or this steering." + next);
        }
        if (law.kp() < report.bendKp()) {
            return Verdict.stop(gains + " is too low for the " + bend + ", which needs Kp "
                    + Words.number(report.bendKp()) + " or more." + next);
        }
        double room = picture.wiggleKp().map(kp -> kp / law.kp()).orElse(1.0);
        double above = picture.calmFromKp() > 0 ? law.kp() / picture.calmFromKp() : Double.POSITIVE_INFINITY;
        if (above < LITTLE_ROOM) {
            return Verdict.care(gains + " is calm, but " + Words.number(above, 2)
                    + " times less wiggles too: sensors too close to the axle for low gains." + next);
        }
        String where = gains + " is " + Words.number(law.kp() / report.bendKp(), 2)
                + " times what the tightest bend needs; wiggle limit at " + Words.number(room, 2) + " times this Kp.";
        return room < LITTLE_ROOM ? Verdict.care(where + next) : Verdict.good(where + next);
    }

    private static String calm(LanePicture picture, double wiggleKp) {
        double from = picture.calmFromKp();
        return ": with this Kd-to-Kp ratio no wiggle "
                + (from > 0 ? "from Kp " + Words.number(from) + " to " : "up to Kp ") + Words.number(wiggleKp);
    }

    private static String next(LanePicture picture) {
        if (!picture.advice().done()) {
            return " Searching for better gains; U uses them.";
        }
        Law law = picture.setup().law();
        return picture.gains()
                .map(a -> law.kp() == a.kp() && law.kd() == a.kd()
                        ? " N: Drive."
                        : " Try Kp " + Words.number(a.kp()) + ", Kd " + Words.number(a.kd()) + " (page Lane, U).")
                .orElse(slower(picture));
    }

    private static String slower(LanePicture picture) {
        if (picture.setup().law().options().turnMarks().isPresent()) {
            return " No gains finish with turns by marks: see Thresholds (4), page Turns, or drive slower.";
        }
        Optional<Double> ceiling = picture.lane().ceilingSpeedMmPerS();
        return ceiling.isPresent() && ceiling.get() > 0
                ? " No gains finish here; the lane closes at " + Words.number(ceiling.get())
                        + " mm/s. Lower the base speed in Robot (1)."
                : " No gains finish at this speed. Lower the base speed or move the sensors forward in Robot (1).";
    }

    /** Why the pair to try is what it is. */
    static String reason(LanePicture picture) {
        if (!picture.advice().done()) {
            return "Simulating gains on " + ChanceWords.testBend(picture.setup()) + ".";
        }
        return picture.advice()
                .found()
                .map(found -> reason(found, ChanceWords.testBend(picture.setup())))
                .orElse("No gains finish " + ChanceWords.testBend(picture.setup())
                        + " at this speed. Lower the base speed.");
    }

    private static String reason(TwinAdvice advice, String driven) {
        GainAdvice a = advice.gains();
        Completion chance = advice.chance();
        String margins = a.gainMargin() < 1
                ? "Calculated: it wiggles with these gains"
                : "Calculated wiggle limit: " + Words.number(a.gainMargin(), 2) + " times these gains";
        return "Kp " + Words.number(a.kp()) + " and Kd " + Words.number(a.kd()) + ": closest to the line, "
                + Words.number(advice.rmsMm(), 2) + " mm RMS; " + ChanceWords.of(chance, driven)
                + ", with battery, motor lag, grip, light and start varied. " + margins + "; "
                + Words.number(a.bendMargin(), 2) + " times what the bend needs; sensor noise moves the motors by "
                + Words.percent(a.shake()) + " of full power."
                + (a.keepsMargins() ? "" : " No gains keep every margin at this speed.");
    }
}
