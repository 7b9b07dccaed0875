package fahrbahn.app.drive;

import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.season.Entry;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.Sort;
import fahrbahn.app.season.Verdict;
import fahrbahn.core.job.Workers;
import fahrbahn.core.knowledge.Setting;
import fahrbahn.core.review.CompareWords;
import fahrbahn.core.review.TwoOnOneTable;
import fahrbahn.core.setup.Cause;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.SetupDifference;
import fahrbahn.core.table.Ground;
import fahrbahn.core.trials.Run;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Trace;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** A against B: any two robots of the club, or settings of the robot in hand, from the same starts. */
final class TwoModel {
    private static final int PAIRS = 400;

    /** A list that is longer nobody reads. */
    private static final int MOST_CHOICES = 24;

    private final Season season;
    private final Errand<Compared> errand;
    private final Supplier<Optional<Ground>> ground;
    private final Consumer<String> told;
    private final ReadOnlyObjectWrapper<Optional<Compared>> compared = new ReadOnlyObjectWrapper<>(Optional.empty());
    private Optional<Side> pinned = Optional.empty();
    private Side a;
    private Side b;
    private long nextSeed = 1;

    /** One of two. @param name as it is chosen */
    record Side(String name, Setup setup) {}

    /** @param ghostA a run of the first @param ghostB a run of the second from the same start */
    record Compared(
            Side a, Side b, Ground ground, TwoOnOneTable both, List<Cause> differs, Trace ghostA, Trace ghostB) {}

    /** @param told when a comparison has ended, with what went wrong; empty when nothing did */
    TwoModel(Season season, Errands errands, Supplier<Optional<Ground>> ground, Consumer<String> told) {
        this.season = season;
        this.ground = ground;
        this.told = told;
        this.errand = errands.errand("The comparison");
    }

    ReadOnlyObjectProperty<Optional<Compared>> comparedProperty() {
        return compared.getReadOnlyProperty();
    }

    ReadOnlyBooleanProperty runningProperty() {
        return errand.runningProperty();
    }

    double progress() {
        return errand.progress();
    }

    private Side asSet() {
        return new Side(season.setupOrGuess().robot().name() + " as set", season.setupOrGuess());
    }

    /** Holds what is set now, to be compared with what will be set later. */
    void pin() {
        Setup now = season.setupOrGuess();
        pinned = Optional.of(new Side(now.robot().name() + " as held", now));
        a = pinned.get();
        b = null;
    }

    /** What can be chosen: as set, as held, the club's robots, and what the robot in hand ran with before. */
    List<Side> sides() {
        List<Side> all = new ArrayList<>(List.of(asSet()));
        pinned.ifPresent(all::add);
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
        return a == null ? sides().get(sides().size() > 1 ? 1 : 0) : a;
    }

    Side b() {
        return b == null ? asSet() : b;
    }

    void chooseA(Side side) {
        a = side;
    }

    void chooseB(Side side) {
        b = side;
    }

    /** What the two as chosen differ in. */
    List<Cause> differences() {
        return SetupDifference.between(a().setup(), b().setup());
    }

    /** Drives both. */
    void compare() {
        ground.get().ifPresent(on -> {
            Side first = a();
            Side second = b();
            long seed = nextSeed++;
            errand.runToEnd(
                    job -> {
                        Track trackA = Track.of(on, first.setup());
                        Track trackB = Track.of(on, second.setup());
                        TwoOnOneTable both =
                                TwoOnOneTable.drive(trackA, trackB, Spread.TYPICAL, PAIRS, seed, Workers.all(), job);
                        Start start = both.a().starts().get(0);
                        return new Compared(
                                first,
                                second,
                                on,
                                both,
                                SetupDifference.between(first.setup(), second.setup()),
                                ghost(trackA, start),
                                ghost(trackB, start));
                    },
                    ending -> {
                        if (ending instanceof Ending.Done<Compared> done) {
                            compared.set(Optional.of(done.result()));
                        }
                        told.accept(Ending.words(ending));
                    });
        });
    }

    private static Trace ghost(Track track, Start start) {
        Trace trace = new Trace();
        Twin.run(track, start, trace);
        return trace;
    }

    /** Ends it: pairs that are done are kept. */
    void cancel() {
        errand.endEarly();
    }

    void putAway() {
        errand.stop();
        compared.set(Optional.empty());
    }

    Verdict verdict() {
        Compared last = compared.get().orElseThrow();
        String sentence =
                CompareWords.sentence(last.both(), last.a().name(), last.b().name());
        return last.both().chance().shown() || last.both().timeS().shown()
                ? Verdict.good(sentence)
                : Verdict.open(sentence);
    }
}
