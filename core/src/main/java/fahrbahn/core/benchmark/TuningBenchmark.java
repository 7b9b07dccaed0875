package fahrbahn.core.benchmark;

import fahrbahn.core.belief.Candidate;
import fahrbahn.core.belief.Prior;
import fahrbahn.core.belief.Trial;
import fahrbahn.core.check.Rounding;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.law.UsualLaws;
import fahrbahn.core.next.Tuner;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.tuning.race.Goal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.function.Supplier;

/**
 * Trials that ways of tuning need on hidden robots until one has found a setting that does it: the next trial of the belief, begun at any speed and
 * to find the best lap at any, and ladders that coaches climb by hand, begun at a speed that suits the robot and to find its best lap at that.
 */
public final class TuningBenchmark {
    /** Nobody tries longer. */
    public static final int MOST_TRIALS = 30;

    /** Needed where a way never got there. */
    private static final int NEVER = MOST_TRIALS + 1;

    private static final String NEXT = "next";
    private static final String NEXT_ANY_SPEED = "next, best lap at any speed";

    /** Steering over the whole scale, in full commands. */
    private static final double MOST_TIMES_FULL = 1000;

    /** Of the speed that the coach's lane leaves open; the ladders, which keep their speed, begin at that. */
    private static final double SLOWEST_BEGUN = 0.15;

    private static final double FASTEST_BEGUN = 2;

    private TuningBenchmark() {}

    /**
     * What one robot asked of each way.
     *
     * @param believed as its coach believes it to be
     * @param next trials by the belief until it had what ladders are asked for; more than {@link #MOST_TRIALS} when it never got there
     * @param nextAnySpeed the same until it had the best lap at any speed
     * @param ladders by {@link HandLadder}
     */
    record Needed(Setup believed, int next, int nextAnySpeed, int[] ladders) {
        boolean solved() {
            return Math.min(next, Arrays.stream(ladders).min().orElseThrow()) <= MOST_TRIALS;
        }
    }

    /**
     * @param trials needed by each robot, sorted; {@link #MOST_TRIALS} + 1 where none did it
     */
    public record Outcome(String way, int[] trials) {
        public Outcome {
            trials = trials.clone();
            Arrays.sort(trials);
        }

        @Override
        public int[] trials() {
            return trials.clone();
        }

        public int quantile(double share) {
            return trials[(int) Math.min(trials.length - 1, Math.floor(share * trials.length))];
        }

        public long unsolved() {
            return Arrays.stream(trials).filter(t -> t > MOST_TRIALS).count();
        }
    }

    /**
     * @param robots of which those that no way solves are left out
     * @param wider how much further the secrets lie than usual
     * @return the belief first, by what ladders are asked for and by more, then the ladders
     */
    public static List<Outcome> run(int robots, double wider, long seed, Workers workers, Job job) {
        List<Needed> solved = each(robots, wider, seed, workers, job).stream()
                .filter(Needed::solved)
                .toList();
        List<Outcome> outcomes = new ArrayList<>();
        outcomes.add(new Outcome(NEXT, solved.stream().mapToInt(Needed::next).toArray()));
        outcomes.add(new Outcome(
                NEXT_ANY_SPEED, solved.stream().mapToInt(Needed::nextAnySpeed).toArray()));
        for (HandLadder ladder : HandLadder.values()) {
            outcomes.add(new Outcome(
                    ladder.word(),
                    solved.stream().mapToInt(n -> n.ladders()[ladder.ordinal()]).toArray()));
        }
        return outcomes;
    }

    /** Each robot by one thread: the belief's own work is then done by that thread alone. */
    static List<Needed> each(int robots, double wider, long seed, Workers workers, Job job) {
        Course course = TuningRobots.course();
        Needed[] needed = new Needed[robots];
        workers.run(
                robots,
                i -> {
                    long own = seed * 1_000_003 + i;
                    Setup believed = TuningRobots.drawn(new SplittableRandom(own));
                    needed[i] = of(believed, course, wider, own);
                },
                job);
        return List.of(needed);
    }

    private static Needed of(Setup believed, Course course, double wider, long seed) {
        HiddenTable judge = HiddenTable.of(believed, course, wider, seed);
        int[] ladders = new int[HandLadder.values().length];
        for (HandLadder ladder : HandLadder.values()) {
            List<Trial> trials = new ArrayList<>();
            HiddenTable table = judge.anew();
            ladders[ladder.ordinal()] = climbed(
                    table,
                    table::solvesAtSetSpeed,
                    () -> Optional.of(ladder.next(believed, trials)).filter(c -> believable(believed, c)),
                    trials::add);
        }
        Setup begun = begunAt(believed, new SplittableRandom(seed + 1));
        HiddenTable table = HiddenTable.of(begun, course, wider, seed);
        Tuner tuner = new Tuner(begun, Prior.GUESSED, course, Goal.LAP, seed, Workers.of(1), Job.UNWATCHED);
        int[] left = {MOST_TRIALS};
        int[] tried = {0};
        int[] next = {NEVER};
        int anySpeed = climbed(
                table,
                setting -> {
                    tried[0]++;
                    next[0] = next[0] == NEVER && judge.solvesAtSetSpeed(setting) ? tried[0] : next[0];
                    return table.solves(setting);
                },
                () -> tuner.next(left[0]--, Job.UNWATCHED).next(),
                trial -> tuner.see(trial, Job.UNWATCHED));
        return new Needed(believed, next[0], anySpeed, ladders);
    }

    /** From a speed that somebody typed, anything from far too slow to far too fast. */
    public static Setup begunAt(Setup nominal, SplittableRandom random) {
        double share = SLOWEST_BEGUN * Math.pow(FASTEST_BEGUN / SLOWEST_BEGUN, random.nextDouble());
        double base = Rounding.significant(share * nominal.law().baseCommand(), 2);
        return nominal.withLaw(nominal.law()
                .withBaseCommand(Math.min(base, nominal.robot().drive().fullCommand())));
    }

    /** Far beyond it, even the most patient coach looks for another mistake. */
    private static boolean believable(Setup believed, Candidate setting) {
        return setting.kp() * UsualLaws.top(believed)
                < MOST_TIMES_FULL * believed.robot().drive().fullCommand();
    }

    private static int climbed(
            HiddenTable table, Predicate<Candidate> solves, Supplier<Optional<Candidate>> next, Consumer<Trial> seen) {
        for (int i = 1; i <= MOST_TRIALS; i++) {
            Optional<Candidate> setting = next.get();
            if (setting.isEmpty()) {
                return NEVER;
            }
            if (solves.test(setting.get())) {
                return i;
            }
            seen.accept(table.attempt(setting.get()));
        }
        return NEVER;
    }
}
