package fahrbahn.app.levels;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.response.CrossingLimit;
import fahrbahn.core.response.CurveFeatures;
import fahrbahn.core.response.ErrorCurve;
import fahrbahn.core.response.LineCodes;
import fahrbahn.core.response.NeutralZone;
import fahrbahn.core.response.PairShares;
import fahrbahn.core.setup.Extent;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Options.LostLine;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.tuning.LawTrial;
import fahrbahn.core.twin.RunResult;
import fahrbahn.words.Refusals;
import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** Laws and what they do in sentences. */
final class LawPageWords {
    private LawPageWords() {}

    static String lost(LostLine.Action action) {
        return switch (action) {
            case NONE -> "carries on";
            case STRAIGHT -> "goes straight on";
            case LAST_SIDE -> "turns to where it was";
            case BY_LOSS -> "goes by how it was lost";
        };
    }

    /** A row of more sensors has more patterns than can be shown: those in its table and those a line shows. */
    private static final int ALL_SENSORS = 5;

    /** Beyond it they are a matter for a file. */
    private static final int MOST_LISTED = 8;

    /** Whether there are codes that are listed on demand only. */
    static boolean moreCodes(Setup setup) {
        int sensors = setup.lawSensors().size();
        return sensors > ALL_SENSORS && sensors <= MOST_LISTED;
    }

    /** The patterns with a field. */
    static List<String> codes(Setup setup, boolean every) {
        int sensors = setup.lawSensors().size();
        Set<String> codes = new TreeSet<>();
        int listed = every ? MOST_LISTED : ALL_SENSORS;
        for (int number = 0; sensors <= listed && number < 1 << sensors; number++) {
            codes.add(Integer.toBinaryString((1 << sensors) + number).substring(1));
        }
        if (codes.isEmpty()) {
            codes.addAll(LineCodes.of(setup));
            setup.law().options().patterns().forEach(p -> codes.add(p.bits()));
        }
        return List.copyOf(codes);
    }

    /** A pattern in bits and as a number, and what it is shown over. @param seen those that a plain line can show */
    static String code(String bits, Set<String> seen) {
        return bits + " = " + Integer.parseInt(bits, 2) + over(bits, seen);
    }

    private static String over(String bits, Set<String> seen) {
        if (bits.indexOf('0') < 0) {
            return ", crossing";
        }
        if (bits.indexOf('1') < 0) {
            return ", gap or end";
        }
        if (seen.contains(bits)) {
            return "";
        }
        boolean oneRun = bits.matches("0*1+0*");
        boolean corner = oneRun && (bits.startsWith("1") || bits.endsWith("1"));
        return corner ? ", corner to the " + (bits.startsWith("1") ? "left" : "right") : ", never on a line";
    }

    static String patterns(Setup setup, List<String> shown) {
        int all = 1 << setup.lawSensors().size();
        return "Patterns" + (shown.size() < all ? ", " + shown.size() + " of " + all + " that a line shows" : "")
                + ": 1 sees the line, " + setup.lawSensors().get(0).name() + " first and counting " + all / 2
                + "; an empty one keeps the steering there was";
    }

    /** What a law has besides its gains: where it steers neither way, what each pair of a row adds, where emergency sensors meet the line. */
    static String told(Setup setup) {
        List<String> said = new ArrayList<>();
        try {
            NeutralZone.of(setup)
                    .ifPresent(zone -> said.add("Neutral zone: it steers neither way "
                            + (Double.isNaN(zone.units())
                                    ? ""
                                    : "up to an error of " + Words.number(zone.units(), 3) + ", ")
                            + "from " + Words.number(zone.mm().lowMm(), 2) + " to "
                            + Words.number(zone.mm().highMm(), 2)
                            + " mm beside the line's middle."));
            if (setup.law().signal().hasError()) {
                said.add(errorScale(setup));
            }
            PairShares.of(setup)
                    .forEach(pair -> said.add(pair.left() + " and " + pair.right() + " give "
                            + Words.percent(pair.slopeShare()) + " of the slope"
                            + (Double.isNaN(pair.leadsFromMm()) || pair.leadsFromMm() < 1
                                    ? ""
                                    : ", lead from " + Words.millimetres(pair.leadsFromMm()) + " out")
                            + " and reach to " + Words.millimetres(pair.reachesMm()) + "."));
        } catch (BadValueException ridesNowhere) {
            return Refusals.sentence(ridesNowhere);
        }
        setup.law().options().outer().ifPresent(outer -> said.add(emergency(setup, outer)));
        said.add(crossing(setup));
        blanking(setup).ifPresent(said::add);
        LostLine lost = setup.law().options().lost();
        boolean turnsBack = lost.action() == LostLine.Action.LAST_SIDE || lost.action() == LostLine.Action.BY_LOSS;
        if (turnsBack && lost.steering() == 0) {
            said.add("When lost it turns back by 0, so it goes straight: type a steering.");
        }
        return String.join(" ", said);
    }

    /** Whether a line across its way may fall between two loops. */
    private static String crossing(Setup setup) {
        CrossingLimit limit = CrossingLimit.of(setup);
        if (limit.loops() == 0) {
            return "A line across may fall between two loops: safe up to "
                    + Words.number(limit.fastestMmPerS(), 2) + " mm/s, or from " + Words.number(limit.narrowestMm(), 2)
                    + " mm wide.";
        }
        return "A line across is read " + limit.loops() + (limit.loops() == 1 ? " time" : " times")
                + " or more; safe down to " + Words.number(limit.narrowestMm(), 2) + " mm wide, up to "
                + Words.number(limit.fastestMmPerS(), 2) + " mm/s.";
    }

    /** In everything a program may count. */
    private static Optional<String> blanking(Setup setup) {
        double blankS = setup.law().options().limits().blankS();
        if (blankS == 0) {
            return Optional.empty();
        }
        Extent blank = new Extent(1000 * blankS, Extent.Unit.MS);
        return Optional.of("Blanking lasts " + Words.number(blank.amount(), 3) + " ms, "
                + Words.number(blank.in(Extent.Unit.LOOPS, setup).amount(), 2) + " loops or "
                + Words.number(blank.in(Extent.Unit.MM, setup).amount(), 2) + " mm.");
    }

    /** How large the error gets before it folds over, and where. */
    private static String errorScale(Setup setup) {
        ErrorCurve curve = ErrorCurve.of(setup);
        CurveFeatures.Range guided = CurveFeatures.of(curve).guided();
        return "Error from " + Words.number(curve.errorAt(guided.lowMm()), 3) + " to "
                + Words.number(curve.errorAt(guided.highMm()), 3) + ", " + Words.number(guided.lowMm(), 2) + " to "
                + Words.number(guided.highMm(), 2) + " mm beside the line's middle.";
    }

    /** In the sensors' own numbers. */
    private static String emergency(Setup setup, Options.Outer outer) {
        return setup.outerSensors().stream()
                .map(s -> s.name() + " meets the line at " + level(setup, s, outer.enterShare())
                        + (outer.leaveShare() < outer.enterShare()
                                ? " and leaves it at " + level(setup, s, outer.leaveShare())
                                : ""))
                .collect(Collectors.joining(", ", "Emergency: ", "."));
    }

    private static String level(Setup setup, Sensor sensor, double share) {
        double ground = setup.line().polarity().ground(sensor);
        return Words.number(ground + share * (setup.line().polarity().line(sensor) - ground), 3);
    }

    /** @param setup that drove */
    static String trial(LawTrial trial, Setup setup) {
        String radius = Words.millimetres(setup.line().tightestRadiusMm());
        String bend = trial.comesRound()
                ? "Holds the " + radius + " bend both ways, "
                        + Words.number(
                                Math.max(trial.left().rmsMm(), trial.right().rmsMm()), 2) + " mm RMS."
                : "Does not hold the " + radius + " bend: " + way("left", trial.left()) + ", "
                        + way("right", trial.right()) + ".";
        String gap = trial.longestGapMm() == 0
                ? " It crosses no gap of 20 mm."
                : " It crosses gaps up to " + Words.millimetres(trial.longestGapMm())
                        + (trial.longestGapMm() >= LawTrial.mostGapMm() ? " and more." : ".");
        String askew = trial.askew().stream()
                .map(a -> Words.millimetres(a.longestGapMm()) + " at " + Words.number(Math.toDegrees(a.angleRad()), 2)
                        + "\u00b0")
                .collect(Collectors.joining(", ", " At an angle it crosses ", "."));
        return bend + gap + (trial.askew().isEmpty() ? "" : askew);
    }

    private static String way(String side, RunResult result) {
        return side + " "
                + (result.completed() ? "held" : result.end().word() + " after " + Words.millimetres(result.sMm()));
    }
}
