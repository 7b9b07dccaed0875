package fahrbahn.core.belief;

import fahrbahn.core.law.UsualLaws;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.trials.Completion;
import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.OptionalDouble;
import java.util.SplittableRandom;

/** A robot with secrets on a course, watched by eyes that err: for practice, and to compare ways of tuning. */
public final class HiddenTable {
    /** Eyes see something else in so many trials. */
    private static final double EYES_ERR = 0.05;

    private static final int JUDGED_RUNS = 100;
    private static final int MAY_BE_LOST = 1;

    /** Shares of full turn for full error. */
    private static final double[] GRID = {0.25, 0.5, 1, 2, 4};

    private static final double[] RATIOS = {0, 2, 5};

    private final Setup hidden;
    private final Track track;
    private final long seed;
    private final SplittableRandom random;
    private final double bestLapS;
    private int trials;

    private HiddenTable(Setup hidden, Ground ground, long seed) {
        this.hidden = hidden;
        this.track = Track.of(ground, hidden);
        this.seed = seed;
        this.random = new SplittableRandom(seed);
        this.bestLapS = best();
    }

    /** Of a coarse grid at the set speed: the least time in which it gets round at all. */
    private double best() {
        double least = Double.POSITIVE_INFINITY;
        double unit = hidden.law().baseCommand() / UsualLaws.top(hidden);
        for (double kp : GRID) {
            for (double ratio : RATIOS) {
                Candidate setting =
                        new Candidate(kp * unit, ratio * kp * unit, hidden.law().baseCommand());
                RunResult run = Twin.run(track, at(setting), Start.noisy(0, seed));
                least = run.completed() ? Math.min(least, run.timeS()) : least;
            }
        }
        return least;
    }

    /**
     * @param setup as the coach believes it to be
     * @param wider how much further its secrets lie from that than usual
     */
    public static HiddenTable of(Setup setup, Ground ground, double wider, long seed) {
        Particle usual = Particle.drawn(new SplittableRandom(seed * 31 + 7));
        double[] figures = usual.figures();
        for (int i = 0; i < figures.length; i++) {
            figures[i] *= wider;
        }
        return new HiddenTable(Ghosts.become(setup, Particle.of(figures)), ground, seed);
    }

    public Setup hidden() {
        return hidden;
    }

    private Setup at(Candidate setting) {
        return hidden.withLaw(hidden.law()
                .withGains(setting.kp(), hidden.law().ki(), setting.kd())
                .withBaseCommand(setting.baseCommand()));
    }

    /** One trial: what is seen of it, and the wiggle counted when there is one. */
    public Trial attempt(Candidate setting) {
        Start start = Spread.TYPICAL.draw(0, seed * 1000 + 3, trials++);
        RunResult run = Twin.run(track, at(setting), start);
        Seen seen = Sight.seen(run, track.path());
        if (random.nextDouble() < EYES_ERR) {
            seen = Seen.values()[random.nextInt(Seen.values().length)];
        }
        boolean counts = seen == Seen.WIGGLES && run.wigglePeriodS().isPresent();
        double period = counts ? run.wigglePeriodS().getAsDouble() * (1 + 0.03 * random.nextGaussian()) : 0;
        return new Trial(
                setting.kp(),
                setting.kd(),
                setting.baseCommand(),
                seen,
                counts ? OptionalDouble.of(period) : OptionalDouble.empty(),
                counts ? 8 : 0,
                run.completed() && seen != Seen.WIGGLES
                        ? OptionalDouble.of(run.timeS() + 0.15 * random.nextGaussian())
                        : OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    /** Whether a setting does it: 99 % of runs finish, in at most a tenth more than the best lap at the set speed. */
    public boolean solves(Candidate setting) {
        Setup at = at(setting);
        int lost = 0;
        double time = 0;
        for (int i = 0; i < JUDGED_RUNS; i++) {
            RunResult run = Twin.run(track, at, Spread.TYPICAL.draw(0, seed * 1000 + 17, i));
            lost += run.completed() ? 0 : 1;
            time += run.completed() ? run.timeS() : 0;
            if (lost > MAY_BE_LOST) {
                return false;
            }
        }
        return time / (JUDGED_RUNS - lost) <= 1.1 * bestLapS;
    }

    /** Of many runs of a setting. */
    public Completion chance(Candidate setting, int runs) {
        Setup at = at(setting);
        int completed = 0;
        for (int i = 0; i < runs; i++) {
            completed += Twin.run(track, at, Spread.TYPICAL.draw(0, seed * 1000 + 19, i))
                            .completed()
                    ? 1
                    : 0;
        }
        return Completion.of(completed, runs);
    }
}
