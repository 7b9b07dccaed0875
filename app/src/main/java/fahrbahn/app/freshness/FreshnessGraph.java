package fahrbahn.app.freshness;

import fahrbahn.core.difference.Aspect;
import fahrbahn.core.difference.Cause;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.knowledge.Knowledge;
import fahrbahn.core.knowledge.Minded;
import fahrbahn.core.knowledge.Since;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trials.Pool;
import fahrbahn.core.trials.Run;
import fahrbahn.core.trials.RunGroups;
import fahrbahn.words.CauseWords;
import fahrbahn.words.HandOverWords;
import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Which station rests on which, and what each minds: the one place where freshness is derived. The table of it is in
 * docs/freshness.md; the matrix test walks all of it.
 */
public final class FreshnessGraph {
    /** A bend this much tighter than the robot was set up for is no matter of a ruler. */
    private static final double SAME_RADIUS_MM = 0.1;

    private final Standing is;
    private final Repairs repairs;
    private final Map<Station, Freshness> found = new EnumMap<>(Station.class);

    private FreshnessGraph(Standing is, Repairs repairs) {
        this.is = is;
        this.repairs = repairs;
    }

    /**
     * The freshness of every station, and the runs that count. Takes a few milliseconds.
     *
     * @param groups what has been found of the runs before
     */
    public static Judgement derive(Standing standing, RunGroups groups, Repairs repairs) {
        Run.Source source = standing.lastRun().map(Run::source).orElse(Run.Source.TWIN);
        Pool pool = Pool.of(groups, standing.runs(), source, standing.now());
        FreshnessGraph graph = new FreshnessGraph(standing, repairs);
        graph.found.put(Station.ROBOT, graph.robot());
        graph.found.put(Station.TABLE, graph.table());
        graph.found.put(Station.MEASURE, graph.measure());
        graph.found.put(Station.LEVELS, graph.levels());
        graph.found.put(Station.GAINS, graph.gains());
        graph.found.put(Station.DRIVE, graph.drive());
        graph.found.put(Station.RUNS, graph.runs(pool));
        graph.found.put(Station.HANDOVER, graph.handOver());
        return new Judgement(graph.found, source, pool);
    }

    private String words(List<Cause> causes) {
        return CauseWords.of(causes, is.venueName());
    }

    private Freshness robot() {
        if (!is.typed()) {
            return Freshness.missing("nothing typed yet").repairedBy(repairs.typeRobot());
        }
        for (Fact fact : is.facts()) {
            List<Cause> stale = fact.staleSince(is.now());
            if (!stale.isEmpty() && used(fact)) {
                return Freshness.stale(fact.constant().word() + ": " + words(stale))
                        .repairedBy(repairs.measure(fact.constant(), true));
            }
        }
        return guesses().isEmpty()
                ? Freshness.FRESH
                : Freshness.guess(guessWords())
                        .repairedBy(repairs.measure(guesses().get(0), false));
    }

    /** Whether the robot still has the number that was measured. */
    private boolean used(Fact fact) {
        Optional<Setup> setup = is.now().setup();
        double value = fact.measured().value();
        return setup.isPresent()
                && Math.abs(fact.constant().of(setup.get()) - value) <= 1e-9 * Math.max(1, Math.abs(value));
    }

    private List<Constant> guesses() {
        return is.knowledge().stream()
                .filter(Knowledge::costlyGuess)
                .map(Knowledge::constant)
                .toList();
    }

    private String guessWords() {
        List<Constant> guesses = guesses();
        String names = guesses.stream().limit(3).map(Constant::word).collect(Collectors.joining(", "));
        return names + (guesses.size() == 1 ? " is" : " are") + " not measured";
    }

    private Freshness table() {
        if (!is.ownTable()) {
            return Freshness.missing("no table of your own");
        }
        if (!is.table().isEmpty()) {
            return Freshness.missing(is.table());
        }
        double set = is.now().setup().map(s -> s.line().tightestRadiusMm()).orElse(Double.NaN);
        return is.tightestMm() < set - SAME_RADIUS_MM
                ? Freshness.stale("the robot is set up for bends of " + Words.millimetres(set) + ", the line has "
                                + Words.millimetres(is.tightestMm()))
                        .repairedBy(repairs.useRadius())
                : Freshness.FRESH;
    }

    private Freshness measure() {
        if (is.dark().isEmpty() || is.light().isEmpty()) {
            boolean none = is.dark().isEmpty() && is.light().isEmpty();
            return Freshness.missing(none ? "no captures" : is.light().isEmpty() ? "no light" : "no dark")
                    .repairedBy(repairs.capture());
        }
        List<Cause> causes = captureCauses();
        boolean lampsOff = causes.size() == 1 && causes.get(0).aspect() == Aspect.LAMP;
        return causes.isEmpty()
                ? Freshness.FRESH
                : Freshness.stale(words(causes)).repairedBy(lampsOff ? repairs.lightLampsAgain() : repairs.capture());
    }

    /** Captures last as long as the sensors see what they saw. */
    private List<Cause> captureCauses() {
        List<Capture> all =
                Stream.concat(is.dark().stream(), is.light().stream()).toList();
        Capture oldest = Collections.min(all, Comparator.comparing(Capture::at));
        Basis then = Basis.of(oldest.at(), oldest.conditions());
        Since since = Since.of(then, is.now())
                .aged(then, is.now(), Minded.CAPTURES_STAY)
                .only(Minds.OF.get(Station.MEASURE));
        List<Cause> causes = new ArrayList<>(since.causes());
        List<Sensor> sensors = is.now().setup().map(s -> s.robot().sensors()).orElse(List.of());
        int captured = (int) sensors.stream()
                .filter(s -> has(is.dark(), s.name()) && has(is.light(), s.name()))
                .count();
        if (is.typed() && captured < sensors.size()) {
            causes.add(new Cause(Aspect.LAYOUT, "sensors captured", captured, sensors.size()));
        }
        return causes;
    }

    private static boolean has(List<Capture> captures, String sensor) {
        return captures.stream().anyMatch(c -> c.sensors().contains(sensor));
    }

    private Freshness levels() {
        Freshness captures = found.get(Station.MEASURE);
        if (captures.mark() == Freshness.Mark.MISSING) {
            return captures;
        }
        if (captures.mark() == Freshness.Mark.STALE) {
            return inherited("from captures that are: ", captures);
        }
        boolean used = is.levels().isPresent();
        if (!is.typed() || is.onRobot().isPresent() && !used) {
            return Freshness.stale("not used on the robot yet").repairedBy(repairs.useLevels());
        }
        if (is.onRobot().isPresent()) {
            Cause cause = is.onRobot().get();
            String why = is.levelsOfNewest() ? "changed since its level was used" : "captured anew since";
            return Freshness.stale(cause.what() + " " + why + ": " + cause.before() + " on the robot, captured "
                            + cause.after())
                    .repairedBy(repairs.useLevels());
        }
        return Freshness.fresh(used && !is.levelsOfNewest() ? "captured anew since, and found the same" : "");
    }

    private static Freshness inherited(String before, Freshness from) {
        return new Freshness(from.mark(), before + from.reason(), from.repair());
    }

    private Freshness gains() {
        if (is.chosen().isEmpty()) {
            return Freshness.missing("no gains chosen").repairedBy(repairs.useGains());
        }
        Since since = Since.of(is.chosen().get(), is.now()).only(Minds.OF.get(Station.GAINS));
        if (!since.nothing()) {
            return Freshness.stale(words(since.causes())).repairedBy(repairs.useGains());
        }
        return upstream(since, Station.ROBOT, "on a robot whose ");
    }

    private Freshness drive() {
        if (is.driven().isEmpty()) {
            return Freshness.missing("no run");
        }
        Basis now = is.now().withTable(is.driveTable());
        Since since = Since.of(is.driven().get(), now).only(Minds.OF.get(Station.DRIVE));
        if (!since.nothing()) {
            return Freshness.stale(words(since.causes())).repairedBy(repairs.driveAgain());
        }
        Freshness gains = found.get(Station.GAINS);
        return gains.mark() == Freshness.Mark.STALE
                ? inherited("with gains that are: ", gains)
                : upstream(since, Station.ROBOT, "a robot whose ");
    }

    /** As the station it rests on: stale when that is, from guesses when that is; else fresh, saying what is only known better. */
    private Freshness upstream(Since since, Station on, String before) {
        Freshness below = found.get(on);
        return switch (below.mark()) {
            case STALE, GUESS -> inherited(before, below);
            case MISSING -> Freshness.guess("the robot is a starting guess").repairedBy(repairs.typeRobot());
            case FRESH -> Freshness.fresh(better(since));
        };
    }

    private static String better(Since since) {
        if (since.better().isEmpty()) {
            return "";
        }
        String names = since.better().stream().map(Constant::word).collect(Collectors.joining(", "));
        return names + " known better since, which changes nothing here";
    }

    /** As typed into the program, and as fresh as what the program's numbers come from. */
    private Freshness handOver() {
        if (!is.handedOver()) {
            return Freshness.missing("nothing handed over").repairedBy(repairs.handOver());
        }
        if (!is.toType().isEmpty()) {
            return Freshness.stale(HandOverWords.differs(is.toType())).repairedBy(repairs.handOver());
        }
        for (Station station : List.of(Station.LEVELS, Station.GAINS)) {
            Freshness.Mark mark = found.get(station).mark();
            if (mark == Freshness.Mark.STALE || mark == Freshness.Mark.GUESS) {
                return inherited(
                        "with " + station.title().toLowerCase(Locale.ROOT) + " that are: ", found.get(station));
            }
        }
        return Freshness.FRESH;
    }

    private Freshness runs(Pool pool) {
        if (is.lastRun().isEmpty()) {
            return Freshness.missing("no runs");
        }
        Run last = is.lastRun().get();
        Since since = Since.of(last.basis(), is.now()).only(Minds.OF.get(Station.RUNS));
        if (pool.runs().isEmpty()) {
            return Freshness.stale(words(since.causes()));
        }
        return last.source() == Run.Source.TWIN
                ? upstream(since, Station.ROBOT, "of a robot whose ")
                : Freshness.fresh(better(since));
    }
}
