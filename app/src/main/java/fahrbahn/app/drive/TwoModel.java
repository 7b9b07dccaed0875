package fahrbahn.app.drive;

import fahrbahn.app.drive.run.DriveWords;
import fahrbahn.app.season.Entry;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.Sort;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.Parameter;
import fahrbahn.app.state.State;
import fahrbahn.core.difference.Cause;
import fahrbahn.core.difference.SetupDifference;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.knowledge.Setting;
import fahrbahn.core.review.CompareWords;
import fahrbahn.core.review.TwoOnOneTable;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.trials.Run;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;

/** A against B: any two robots of the club, or settings of the robot in hand, from the same starts. */
final class TwoModel {
    private static final int PAIRS = 400;

    /** A list that is longer nobody reads. */
    private static final int MOST_CHOICES = 24;

    private final Season season;
    private final Derived<Compared> compared;
    private final Supplier<Optional<Ground>> ground;
    private final Parameter<Optional<Side>> pinned;
    private final Parameter<Optional<Side>> a;
    private final Parameter<Optional<Side>> b;
    private final Parameter<Long> asked;

    /** One of two. @param name as it is chosen */
    record Side(String name, Setup setup) {}

    /** @param ghostA a run of the first @param ghostB a run of the second from the same start */
    record Compared(
            Side a, Side b, Ground ground, TwoOnOneTable both, List<Cause> differs, Trace ghostA, Trace ghostB) {}

    /** @param seed another each time they are driven */
    private record Pair(Side a, Side b, Optional<Ground> ground, long seed) {
        Compared driven(Job job) {
            Ground on = ground.orElseThrow();
            Track trackA = Track.of(on, a.setup());
            Track trackB = Track.of(on, b.setup());
            TwoOnOneTable both = TwoOnOneTable.drive(trackA, trackB, Spread.TYPICAL, PAIRS, seed, Workers.all(), job);
            Start start = both.a().starts().get(0);
            return new Compared(
                    a,
                    b,
                    on,
                    both,
                    SetupDifference.between(a.setup(), b.setup()),
                    ghost(trackA, start),
                    ghost(trackB, start));
        }
    }

    TwoModel(Season season, State state, Supplier<Optional<Ground>> ground) {
        this.season = season;
        this.ground = ground;
        pinned = state.parameter(Optional.empty());
        a = state.parameter(Optional.empty());
        b = state.parameter(Optional.empty());
        asked = state.parameter(0L);
        compared = state.derive("The comparison", () -> new Pair(a(), b(), ground.get(), asked.get()), Pair::driven);
    }

    /** Of the two as chosen, on the table in hand; there when it was asked for. */
    Derived<Compared> compared() {
        return compared;
    }

    private Side asSet() {
        return new Side(season.setupOrGuess().robot().name() + " as set", season.setupOrGuess());
    }

    /** Holds what is set now, to be compared with what will be set later. */
    void pin() {
        Setup now = season.setupOrGuess();
        pinned.set(Optional.of(new Side(now.robot().name() + " as kept", now)));
        a.set(pinned.get());
        b.set(Optional.empty());
    }

    /** What can be chosen: as set, as held, the club's robots, and what the robot in hand ran with before. */
    List<Side> sides() {
        List<Side> all = new ArrayList<>(List.of(asSet()));
        pinned.get().ifPresent(all::add);
        for (Entry robot : season.club().entries(Sort.ROBOT)) {
            season.club()
                    .setupOf(robot.id())
                    .filter(s -> all.stream().noneMatch(one -> one.setup().equals(s)))
                    .ifPresent(s -> all.add(new Side(robot.name(), s)));
        }
        List<Run> runs = season.runs();
        Set<String> seen = new HashSet<>(); // a setting is compared once, however many thousand runs had it
        for (int i = runs.size() - 1; i >= 0 && all.size() < MOST_CHOICES; i--) {
            Setting setting = runs.get(i).setting();
            if (seen.add(setting.id())
                    && all.stream().noneMatch(one -> one.setup().equals(setting.setup()))) {
                all.add(new Side("ran with Kp " + DriveWords.gains(setting.setup()), setting.setup()));
            }
        }
        return List.copyOf(all);
    }

    Side a() {
        return a.get().orElseGet(() -> sides().get(sides().size() > 1 ? 1 : 0));
    }

    Side b() {
        return b.get().orElseGet(this::asSet);
    }

    void chooseA(Side side) {
        a.set(Optional.of(side));
    }

    void chooseB(Side side) {
        b.set(Optional.of(side));
    }

    /** What the two as chosen differ in. */
    List<Cause> differences() {
        return SetupDifference.between(a().setup(), b().setup());
    }

    /** Drives both, once more where that has been done. */
    void compare() {
        if (ground.get().isPresent()) {
            asked.set(asked.get() + 1);
            compared.show();
        }
    }

    private static Trace ghost(Track track, Start start) {
        Trace trace = new Trace();
        Twin.run(track, start, trace);
        return trace;
    }

    /** Empty while they have not been driven. */
    static Verdict verdict(Compared last) {
        String sentence =
                CompareWords.sentence(last.both(), last.a().name(), last.b().name());
        return last.both().chance().shown() || last.both().timeS().shown()
                ? Verdict.good(sentence)
                : Verdict.open(sentence);
    }
}
