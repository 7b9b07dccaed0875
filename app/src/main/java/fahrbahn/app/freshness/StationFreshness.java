package fahrbahn.app.freshness;

import fahrbahn.app.freshness.Freshness.Mark;
import fahrbahn.core.difference.Aspect;
import fahrbahn.core.difference.Cause;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.knowledge.FreshnessRule;
import fahrbahn.core.knowledge.Knowledge;
import fahrbahn.core.knowledge.Since;
import fahrbahn.core.quality.Captured;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trials.Pool;
import fahrbahn.core.trials.Run;
import fahrbahn.core.trials.RunGroups;
import fahrbahn.words.CauseWords;
import fahrbahn.words.HandOverWords;
import fahrbahn.words.Words;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Whether each station's result still holds: first by what it minds itself, then by what it rests on. Both are rows of {@link
 * FreshnessRule}; here is only what a station has to be judged by, and how that is said.
 */
final class StationFreshness {
    /** A bend this much tighter than the robot was set up for is no matter of a ruler. */
    private static final double SAME_RADIUS_MM = 0.1;

    private final FreshnessInputs is;
    private final Captured captured;
    private final Pool pool;
    private final Repairs repairs;
    private final Map<Station, Freshness> found = new EnumMap<>(Station.class);

    /** The station whose own reason each reason is. */
    private final Map<Station, Station> reasonOf = new EnumMap<>(Station.class);

    private StationFreshness(FreshnessInputs is, Pool pool, Repairs repairs) {
        this.is = is;
        this.captured = is.captured();
        this.pool = pool;
        this.repairs = repairs;
    }

    /**
     * The freshness of every station, and the runs that count. Takes a few milliseconds.
     *
     * @param groups what has been found of the runs before
     */
    static Judgement derive(FreshnessInputs is, RunGroups groups, Repairs repairs) {
        Run.Source source = is.lastRun().map(Run::source).orElse(Run.Source.TWIN);
        Pool pool = Pool.of(groups, is.runs().values(), source, is.now());
        StationFreshness stations = new StationFreshness(is, pool, repairs);
        for (Station station : Station.values()) {
            stations.judge(station);
        }
        return new Judgement(stations.found, source, pool);
    }

    private void judge(Station station) {
        Freshness own = own(station);
        reasonOf.put(station, station);
        found.put(station, own.mark() == Mark.FRESH ? inherited(station).orElse(own) : own);
    }

    /** What it is by itself. */
    private Freshness own(Station station) {
        return switch (station) {
            case ROBOT -> robot();
            case TABLE -> table();
            case MEASURE -> measure();
            case LEVELS -> levels();
            case GAINS -> gains();
            case DRIVE -> drive();
            case RUNS -> runs();
            case HANDOVER -> handOver();
        };
    }

    /** Out of date when what it rests on is; from guesses when that is. */
    private Optional<Freshness> inherited(Station station) {
        if (station == Station.RUNS && !twinsRuns()) {
            return Optional.empty(); // the robot ran as it is, whatever was measured of it
        }
        List<Station> below = station.rule().restsOn().stream().map(Station::of).toList();
        return first(below, station, Mark.STALE)
                .or(() -> first(below, station, Mark.GUESS))
                .or(() -> withoutRobot(below));
    }

    private Optional<Freshness> first(List<Station> below, Station station, Mark mark) {
        return below.stream()
                .filter(on -> found.get(on).mark() == mark)
                .findFirst()
                .map(on -> inherited(station, on));
    }

    /** The reason is named with the station that it is of, once. */
    private Freshness inherited(Station station, Station on) {
        Freshness from = found.get(on);
        reasonOf.put(station, reasonOf.get(on));
        String reason = reasonOf.get(on) == on ? before(on) + from.reason() : from.reason();
        return new Freshness(from.mark(), reason, from.repair());
    }

    private static String before(Station on) {
        return switch (on) {
            case ROBOT -> "for a robot whose ";
            case MEASURE -> "from captures that are: ";
            default -> "with " + on.title().toLowerCase(Locale.ROOT) + " that are: ";
        };
    }

    private Optional<Freshness> withoutRobot(List<Station> below) {
        return below.contains(Station.ROBOT) && found.get(Station.ROBOT).mark() == Mark.MISSING
                ? Optional.of(
                        Freshness.guess("the robot has typical values only").repairedBy(repairs.typeRobot()))
                : Optional.empty();
    }

    private Freshness robot() {
        if (!is.robot().typed()) {
            return Freshness.missing("nothing typed yet").repairedBy(repairs.typeRobot());
        }
        for (Fact fact : is.robot().facts()) {
            List<Cause> stale = fact.staleSince(is.now());
            if (!stale.isEmpty() && used(fact)) {
                return Freshness.stale(fact.constant().word() + ": " + words(stale))
                        .repairedBy(repairs.measure(fact.constant(), true));
            }
        }
        List<Constant> guesses = is.robot().knowledge().stream()
                .filter(Knowledge::costlyGuess)
                .map(Knowledge::constant)
                .toList();
        return guesses.isEmpty()
                ? Freshness.FRESH
                : Freshness.guess(guessWords(guesses)).repairedBy(repairs.measure(guesses.get(0), false));
    }

    /** Whether the robot still has the number that was measured. */
    private boolean used(Fact fact) {
        Optional<Setup> setup = is.now().setup();
        double value = fact.measured().value();
        return setup.isPresent()
                && Math.abs(fact.constant().of(setup.get()) - value) <= 1e-9 * Math.max(1, Math.abs(value));
    }

    private static String guessWords(List<Constant> guesses) {
        String names = guesses.stream().limit(3).map(Constant::word).collect(Collectors.joining(", "));
        return names + (guesses.size() == 1 ? " is" : " are") + " not measured";
    }

    private Freshness table() {
        if (!is.table().own()) {
            return Freshness.missing("no table of your own");
        }
        if (!is.table().problem().isEmpty()) {
            return Freshness.missing(is.table().problem());
        }
        double set = is.now().setup().map(s -> s.line().tightestRadiusMm()).orElse(Double.NaN);
        return is.table().tightestMm() < set - SAME_RADIUS_MM
                ? Freshness.stale("the robot is set up for bends of " + Words.millimetres(set) + ", the line has "
                                + Words.millimetres(is.table().tightestMm()))
                        .repairedBy(repairs.useRadius())
                : Freshness.FRESH;
    }

    private Freshness measure() {
        if (captured.missing().isPresent()) {
            boolean none = captured.all().findAny().isEmpty();
            return Freshness.missing(
                            none ? "no captures" : "no " + captured.missing().get())
                    .repairedBy(repairs.capture());
        }
        List<Cause> causes = captured.outdatedSince(is.now());
        boolean lampsOff = causes.size() == 1 && causes.get(0).aspect() == Aspect.LAMP;
        return outdated(causes, lampsOff ? repairs.lightLampsAgain() : repairs.capture(), "");
    }

    /** Captures come first: levels of those that do not hold are not worth using. */
    private Freshness levels() {
        Freshness captures = found.get(Station.MEASURE);
        if (captures.mark() != Mark.FRESH) {
            return captures.mark() == Mark.MISSING ? captures : Freshness.FRESH;
        }
        boolean used = is.levels().from().isPresent();
        Optional<Cause> differ = is.levels().differ();
        if (!is.robot().typed() || differ.isPresent() && !used) {
            return Freshness.stale("not used on the robot yet").repairedBy(repairs.useLevels());
        }
        if (differ.isPresent()) {
            String why = levelsOfNewest() ? "changed since its level was used" : "captured again since";
            return Freshness.stale(differ.get().what() + " " + why + ": "
                            + differ.get().before() + " on the robot, captured "
                            + differ.get().after())
                    .repairedBy(repairs.useLevels());
        }
        return Freshness.fresh(used && !levelsOfNewest() ? "captured again since, with the same result" : "");
    }

    /** Whether the levels on the robot were computed from the newest captures. */
    private boolean levelsOfNewest() {
        return is.levels().from().isPresent()
                && captured.all()
                        .allMatch(c -> is.levels().from().get().captures().contains(c.id()));
    }

    private Freshness gains() {
        return is.chosen()
                .map(then -> since(Station.GAINS, then, is.now(), repairs.useGains()))
                .orElseGet(() -> Freshness.missing("no gains chosen").repairedBy(repairs.useGains()));
    }

    private Freshness drive() {
        Basis now = is.now().withTable(is.driven().table());
        return is.newestDrive()
                .map(then -> since(Station.DRIVE, then, now, repairs.driveAgain()))
                .orElse(Freshness.missing("no run"));
    }

    private Freshness runs() {
        if (is.lastRun().isEmpty()) {
            return Freshness.missing("no runs");
        }
        Since since = Station.RUNS.rule().since(is.lastRun().get().basis(), is.now());
        return pool.runs().isEmpty() ? Freshness.stale(words(since.causes())) : Freshness.fresh(better(since));
    }

    private boolean twinsRuns() {
        return is.lastRun().filter(run -> run.source() == Run.Source.TWIN).isPresent();
    }

    /** What was handed over is compared number by number, as the program takes them. */
    private Freshness handOver() {
        if (!is.handed().ever()) {
            return Freshness.missing("nothing handed over").repairedBy(repairs.handOver());
        }
        return is.handed().toType().isEmpty()
                ? Freshness.FRESH
                : Freshness.stale(HandOverWords.differs(is.handed().toType())).repairedBy(repairs.handOver());
    }

    /** By what has changed since; fresh, it says what is only known better. */
    private Freshness since(Station station, Basis then, Basis now, Freshness.Repair repair) {
        Since since = station.rule().since(then, now);
        return outdated(since.causes(), repair, better(since));
    }

    private Freshness outdated(List<Cause> causes, Freshness.Repair repair, String freshInSpiteOf) {
        return causes.isEmpty()
                ? Freshness.fresh(freshInSpiteOf)
                : Freshness.stale(words(causes)).repairedBy(repair);
    }

    private String words(List<Cause> causes) {
        return CauseWords.of(causes, is.names()::venue);
    }

    private static String better(Since since) {
        if (since.better().isEmpty()) {
            return "";
        }
        String names = since.better().stream().map(Constant::word).collect(Collectors.joining(", "));
        return names + " measured better since; nothing changes here";
    }
}
