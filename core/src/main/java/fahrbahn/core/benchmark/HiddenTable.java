package fahrbahn.core.benchmark;

import fahrbahn.core.belief.Candidate;
import fahrbahn.core.belief.Ghosts;
import fahrbahn.core.belief.Particle;
import fahrbahn.core.belief.Prior;
import fahrbahn.core.belief.Sight;
import fahrbahn.core.belief.Trial;
import fahrbahn.core.law.UsualLaws;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.table.SeenTable;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.core.tuning.race.CourseProposals;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.Arrays;
import java.util.OptionalDouble;
import java.util.SplittableRandom;

/** A robot with secrets on a course, watched by eyes that err: for practice, and to compare ways of tuning. */
public final class HiddenTable {
    /** Eyes see something else in so many trials. */
    private static final double EYES_ERR = 0.05;

    private static final int JUDGED_RUNS = 100;
    private static final int MAY_BE_LOST = 1;

    /** Shares of full turn for full error, and of Kd to Kp: where its best lap is looked for. */
    private static final double[] GRID = {0.15, 0.25, 0.4, 0.6, 0.9, 1.3, 2, 3};

    private static final double[] RATIOS = {0, 1, 2.5, 5, 10, 20};

    /** Of the set speed, for ways of tuning that keep it. */
    private static final double[] SPEEDS = {1, 0.8, 0.6, 0.45};

    private static final double GOOD_LAP = 1.1;

    private final Setup hidden;
    private final Track track;
    private final long seed;
    private final SplittableRandom random;
    private final Bests bests;
    private int trials;

    /** Worked out when first asked for, and only once for a robot: it takes thousands of runs. */
    private static final class Bests {
        private double lapS = Double.NaN;
        private double lapAtSetSpeedS = Double.NaN;
    }

    private HiddenTable(Setup hidden, Track track, long seed, Bests bests) {
        this.hidden = hidden;
        this.track = track;
        this.seed = seed;
        this.random = new SplittableRandom(seed);
        this.bests = bests;
    }

    /** The same table and robot, nothing tried yet. */
    public HiddenTable anew() {
        return new HiddenTable(hidden, track, seed, bests);
    }

    /** The least time in which 99 % of runs get round at any speed the drive has; infinite where there is none. */
    double bestLapS() {
        if (Double.isNaN(bests.lapS)) {
            double least = Double.POSITIVE_INFINITY;
            for (double base : CourseProposals.bases(hidden)) {
                double speed =
                        hidden.withLaw(hidden.law().withBaseCommand(base)).speedMmPerS();
                if (least < track.finishMm() / speed) {
                    break; // no slower one is quicker
                }
                least = Math.min(least, bestLapS(base));
            }
            bests.lapS = least;
        }
        return bests.lapS;
    }

    /** The same at the set speed, or the next below at which they do. */
    private double bestLapAtSetSpeedS() {
        if (Double.isNaN(bests.lapAtSetSpeedS)) {
            bests.lapAtSetSpeedS = Arrays.stream(SPEEDS)
                    .map(speed -> bestLapS(speed * hidden.law().baseCommand()))
                    .filter(Double::isFinite)
                    .findFirst()
                    .orElse(Double.POSITIVE_INFINITY);
        }
        return bests.lapAtSetSpeedS;
    }

    private double bestLapS(double base) {
        double unit = 2 * base / UsualLaws.top(hidden);
        double least = Double.POSITIVE_INFINITY;
        for (double kp : GRID) {
            for (double ratio : RATIOS) {
                Candidate setting = new Candidate(kp * unit, ratio * kp * unit, base);
                RunResult run = Twin.run(track, at(setting), Start.noisy(0, seed));
                if (run.completed() && run.timeS() < least) {
                    least = Math.min(least, meanLapS(setting));
                }
            }
        }
        return least;
    }

    /**
     * @param setup as the coach believes it to be
     * @param wider how much further its secrets lie from that than usual
     */
    public static HiddenTable of(Setup setup, Ground ground, double wider, long seed) {
        return of(
                setup,
                ground,
                Particle.drawn(new SplittableRandom(seed * 31 + 7), Prior.GUESSED, wider),
                seed,
                SeenTable.Cells.FINE);
    }

    public static HiddenTable of(Setup setup, Ground ground, Particle secrets, long seed, SeenTable.Cells cells) {
        Setup hidden = Ghosts.become(setup, secrets);
        return new HiddenTable(hidden, Track.of(ground, hidden, cells), seed, new Bests());
    }

    public Setup hidden() {
        return hidden;
    }

    private Setup at(Candidate setting) {
        return hidden.withLaw(hidden.law()
                .withGains(setting.kp(), hidden.law().ki(), setting.kd())
                .withBaseCommand(setting.baseCommand()));
    }

    /** One trial: what is seen of it by eyes that err, and the wiggle counted when there is one. */
    public Trial attempt(Candidate setting) {
        Driven driven = drive(setting);
        Seen seen = driven.seen();
        if (random.nextDouble() < EYES_ERR) {
            seen = Seen.values()[random.nextInt(Seen.values().length)];
        }
        return seenAs(driven, seen);
    }

    /**
     * A run that is still to be told.
     *
     * @param seen what eyes that do not err would call it
     */
    public record Driven(Candidate setting, Trace trace, RunResult run, Seen seen) {}

    /** One trial that the learner tells. */
    public Driven drive(Candidate setting) {
        Start start = Spread.TYPICAL.draw(0, seed * 1000 + 3, trials++);
        Trace trace = new Trace();
        RunResult run = Twin.run(track, at(setting), start, trace);
        return new Driven(setting, trace, run, Sight.seen(run, track.path()));
    }

    /** The trial as somebody saw it, with what the stopwatch counted. */
    public Trial seenAs(Driven driven, Seen seen) {
        Candidate setting = driven.setting();
        RunResult run = driven.run();
        boolean counts = seen == Seen.WIGGLES && run.ride().wigglePeriodS().isPresent();
        double period = counts ? run.ride().wigglePeriodS().getAsDouble() * (1 + 0.03 * random.nextGaussian()) : 0;
        return new Trial(
                setting.kp(),
                setting.kd(),
                setting.baseCommand(),
                seen,
                saysFinish(seen) ? Trial.Finish.NOT_SAID : Trial.Finish.of(run.completed()),
                counts ? OptionalDouble.of(period) : OptionalDouble.empty(),
                counts ? 8 : 0,
                run.completed()
                        ? OptionalDouble.of(run.timeS() + 0.15 * random.nextGaussian())
                        : OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    /** Eyes that erred are believed in that too. */
    public static boolean saysFinish(Seen seen) {
        return seen == Seen.SMOOTH || seen == Seen.TURNS_AWAY || Sight.lost(seen);
    }

    /** Whether a setting does it: 99 % of runs finish, in at most a tenth more than its best lap at any speed. */
    public boolean solves(Candidate setting) {
        return meanLapS(setting) <= GOOD_LAP * bestLapS();
    }

    /** The same for ways that keep the set speed: its best lap there. */
    public boolean solvesAtSetSpeed(Candidate setting) {
        return meanLapS(setting) <= GOOD_LAP * bestLapAtSetSpeedS();
    }

    /** Infinite where fewer than 99 % finish. */
    double meanLapS(Candidate setting) {
        Setup at = at(setting);
        int lost = 0;
        double time = 0;
        for (int i = 0; i < JUDGED_RUNS; i++) {
            RunResult run = Twin.run(track, at, Spread.TYPICAL.draw(0, seed * 1000 + 17, i));
            lost += run.completed() ? 0 : 1;
            time += run.completed() ? run.timeS() : 0;
            if (lost > MAY_BE_LOST) {
                return Double.POSITIVE_INFINITY;
            }
        }
        return time / (JUDGED_RUNS - lost);
    }
}
