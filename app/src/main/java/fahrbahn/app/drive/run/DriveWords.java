package fahrbahn.app.drive.run;

import fahrbahn.app.season.Verdict;
import fahrbahn.core.review.Loss;
import fahrbahn.core.review.LossFactors;
import fahrbahn.core.sensing.SensorFault;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.statistics.Completion;
import fahrbahn.core.statistics.Sample;
import fahrbahn.core.twin.RunResult;
import fahrbahn.words.ChanceWords;
import fahrbahn.words.CrossingWords;
import fahrbahn.words.Words;
import java.util.Map;
import java.util.stream.Collectors;

/** What runs of the twin come to, in words. */
public final class DriveWords {
    private DriveWords() {}

    /** How a sensor has failed. */
    static String fault(SensorFault fault) {
        return fault.sensor()
                + switch (fault.kind()) {
                    case STUCK_ON_GROUND -> " stuck on background";
                    case STUCK_ON_LINE -> " stuck on line";
                    case HALF_CONTRAST -> " at half contrast";
                };
    }

    private static Verdict withFault(SensorFault fault, String what, boolean good) {
        String sentence = "With " + fault(fault) + " " + what + ". Not kept: a sensor has failed.";
        return good ? Verdict.care(sentence) : Verdict.stop(sentence);
    }

    private static Verdict odds(Odds last, SensorFault fault) {
        Completion chance = last.runs().completion();
        return withFault(fault, ChanceWords.of(chance, last.ground().name()), chance.completed() > 0);
    }

    private static Verdict verdict(Drive last, SensorFault fault) {
        RunResult result = last.result();
        String at = Words.number(result.sMm() / 1000, 2) + " m, "
                + Words.where(last.ground().path().partAt(result.sMm()));
        return withFault(
                fault,
                result.completed()
                        ? "it finishes in " + Words.number(result.timeS(), 4) + " s, " + Words.number(result.rmsMm(), 2)
                                + " mm RMS from the line"
                        : "it is lost at " + at,
                result.completed());
    }

    public static Verdict odds(Odds last) {
        if (last.many().track().fault().isPresent()) {
            return odds(last, last.many().track().fault().get());
        }
        Completion chance = last.runs().completion();
        Sample times = Sample.of(last.runs().ofCompleted(RunResult::timeS));
        Sample peaks = Sample.of(last.runs().ofCompleted(RunResult::peakMm));
        int asked = last.many().asked();
        String stopped = chance.runs() < asked ? "Stopped after " + chance.runs() + " of " + asked + ". " : "";
        String sentence = stopped + ChanceWords.of(chance, last.ground().name())
                + " with normal changes in battery, light, grip and start.";
        if (chance.completed() < chance.runs()) {
            sentence += (chance.completed() == 0 ? " They are" : " The others are") + " lost about " + lostAt(last)
                    + "." + commonestTurn(last) + mostly(last.factors());
        }
        if (times.n() > 1) {
            sentence += " They take " + Words.number(times.mean(), 3) + " s ± " + Words.number(times.sd(), 2)
                    + " s, at most " + Words.number(peaks.mean(), 2) + " mm off the line.";
        }
        if (chance.completed() == 0) {
            return Verdict.stop(sentence + " L: see one.");
        }
        return chance.completed() == chance.runs()
                ? Verdict.good(sentence + " N: Runs.")
                : Verdict.care(sentence + " L: see a lost one.");
    }

    /** The condition that decides most of it; empty where none stands out. */
    private static String mostly(LossFactors factors) {
        return factors.told().isEmpty()
                ? ""
                : " Main cause: " + LossWords.factor(factors.told().get(0)) + ".";
    }

    /** Gains to tell settings apart by. */
    public static String gains(Setup setup) {
        return Words.number(setup.law().kp(), 3) + ", Kd "
                + Words.number(setup.law().kd(), 3) + ", base "
                + Words.number(setup.law().baseCommand(), 3);
    }

    /** The wrong turn that most of the lost runs took; empty where none did. */
    private static String commonestTurn(Odds last) {
        Map<String, Long> said = last.runs().results().stream()
                .filter(r -> !r.completed())
                .map(r -> last.setup()
                        .law()
                        .options()
                        .turnMarks()
                        .map(m -> CrossingWords.wrong(r.crossings(), m))
                        .orElse(""))
                .filter(words -> !words.isEmpty())
                .collect(Collectors.groupingBy(words -> words, Collectors.counting()));
        return said.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(e -> " Of them " + e.getValue() + ": " + e.getKey())
                .orElse("");
    }

    /** Where one was lost for the commonest reason, and what lies there. */
    private static String lostAt(Odds last) {
        Loss loss = last.many().reasons().get(0).example();
        return Words.number(loss.sMm() / 1000, 2) + " m along, " + Words.where(loss.part());
    }

    public static Verdict verdict(Drive last) {
        if (last.track().fault().isPresent()) {
            return verdict(last, last.track().fault().get());
        }
        RunResult result = last.result();
        String at = Words.number(result.sMm() / 1000, 2) + " m, "
                + Words.where(last.ground().path().partAt(result.sMm())) + ", after "
                + Words.number(result.timeS(), 3) + " s";
        String crossings = crossings(last);
        return switch (result.end()) {
            case FINISHED -> finished(last);
            case LEFT_THE_LINE -> Verdict.stop(lost(last, at, crossings));
            case TURNED_ROUND -> Verdict.stop("Turned around at " + at + " and drove back. Change the gains (5).");
            case HIT_OBSTACLE ->
                Verdict.stop("Hit the obstacle at " + at + ". "
                        + (last.setup().law().options().obstacle().isPresent()
                                ? "Detour shows where it fails."
                                : "No detour in its program: page Detour, U."));
            case STOPPED ->
                Verdict.stop(
                        "Stopped at " + at + ": all its sensors saw the line, and its program stops then (Control).");
            case TOO_SLOW ->
                Verdict.stop("Not finished after " + Words.number(result.timeS(), 3)
                        + " s, four times the expected lap. Raise the base speed in Robot (1).");
        };
    }

    private static String lost(Drive last, String at, String crossings) {
        if (!crossings.isEmpty()) {
            return "Lost the line at " + at + ". " + crossings;
        }
        double tightestMm = last.ground().tightestRadiusMm();
        String setUp = last.setup().line().tightestRadiusMm() > tightestMm
                ? " The course has bends of " + Words.millimetres(tightestMm)
                        + ", tighter than set up: change that in Robot (1)."
                : " See Gains (5).";
        return last.loss().map(loss -> LossWords.sentence(loss, last.setup())).orElse("Lost the line at " + at + ".")
                + setUp;
    }

    /** What a program that looks for turn marks took wrong, and where that is changed. */
    private static String crossings(Drive last) {
        return last.setup()
                .law()
                .options()
                .turnMarks()
                .map(marks -> CrossingWords.wrong(last.result().crossings(), marks))
                .filter(words -> !words.isEmpty())
                .map(words -> words + " See Turns in Thresholds (4).")
                .orElse("");
    }

    private static Verdict finished(Drive last) {
        RunResult result = last.result();
        int crossed = result.crossings().size();
        String taken = crossed == 0
                ? ""
                : crossings(last).isEmpty()
                        ? " All of " + Words.count(crossed, "crossing", "crossings") + " taken right."
                        : " " + crossings(last);
        String figures = "Finished in " + Words.number(result.timeS(), 4) + " s, " + Words.number(result.rmsMm(), 2)
                + " mm RMS from the line, " + Words.number(result.peakMm(), 2) + " mm off the line."
                + taken;
        double half = last.setup().line().widthMm() / 2;
        return result.peakMm() > half
                ? Verdict.care(figures + " It was more than half a line width off: change the gains (5).")
                : Verdict.good(figures + " K: keep it in Runs.");
    }

    /** For the log book. */
    public static String lostNote(RunResult result) {
        return result.completed() ? "" : "lost at " + Words.number(result.sMm() / 1000, 2) + " m";
    }
}
