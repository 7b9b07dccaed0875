package fahrbahn.core.belief;

import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.law.UsualLaws;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.Ground;
import fahrbahn.core.table.Part;
import fahrbahn.core.table.Pose;
import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.core.tuning.Goal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Trials that ways of tuning need on hidden robots until one has found a setting that does it: the next trial of the belief, and three ladders
 * that coaches climb by hand.
 */
public final class TuningBenchmark {
    /** Nobody tries longer. */
    public static final int MOST_TRIALS = 30;

    private TuningBenchmark() {}

    /** A way of tuning: what is tried next after some trials; empty when it gives up. */
    private interface Ladder {
        Optional<Candidate> next(Setup setup, List<Trial> trials);
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

    /** A course with bends either way, for the benchmark. */
    public static Course course() {
        return new Course(
                "Bench bends",
                1700,
                1150,
                new Pose(200, 200, 0),
                List.of(
                        new Part.Straight(500),
                        new Part.SwingOver(160, Math.PI / 4),
                        new Part.Bend(160, Math.PI / 2),
                        new Part.Straight(120),
                        new Part.Bend(150, Math.PI / 2),
                        new Part.Straight(250),
                        new Part.Bend(150, -Math.PI / 2),
                        new Part.Straight(80),
                        new Part.StopStrip(40),
                        new Part.End(60)),
                false);
    }

    /** What coaches believe their robots to be: one sensor on an edge and a pair, slow and quick, of either mixing. */
    public static List<Setup> robots() {
        List<Setup> all = new ArrayList<>();
        for (Mixing mixing : Mixing.values()) {
            for (double share : new double[] {0.3, 0.42}) {
                for (Law.Kind kind : List.of(Law.Kind.EDGE, Law.Kind.PAIR)) {
                    Drive drive = new Drive(125, 540, 0.05, mixing, 100);
                    List<Sensor> sensors = kind == Law.Kind.EDGE
                            ? List.of(new Sensor("eye", 60, 0, 3.3, 12, 70, 0.6, 1))
                            : List.of(
                                    new Sensor("left", 60, 10, 3.3, 12, 70, 0.6, 1),
                                    new Sensor("right", 60, -10, 3.3, 12, 70, 0.6, 1));
                    Robot robot = new Robot("bench " + all.size(), drive, new Loop(0.01, 0.01), sensors);
                    Law law = new Law(kind, Side.RIGHT, Scale.PERCENT, 50, 1, 0, 0, 100 * share);
                    all.add(new Setup(robot, new Line(20, Polarity.DARK_ON_LIGHT, 150), law));
                }
            }
        }
        return all;
    }

    /**
     * @param setups what coaches believe their robots to be, in turn
     * @param wider how much further the secrets lie than usual
     * @return the belief first, then the ladders; robots that none solves are left out
     */
    public static List<Outcome> run(
            List<Setup> setups, Ground ground, int robots, double wider, long seed, Workers workers, Job job) {
        List<String> ways = List.of("next", "half as much again", "double and halve", "full turn and down");
        List<Ladder> ladders =
                List.of(TuningBenchmark::halfAsMuchAgain, TuningBenchmark::doubleAndHalve, TuningBenchmark::fullTurn);
        int[][] needed = new int[robots][];
        // Each robot by one thread: the belief's own work is then done by that thread alone.
        workers.run(
                robots,
                i -> {
                    Setup setup = setups.get(i % setups.size());
                    int[] its = new int[ways.size()];
                    its[0] = climb(setup, ground, wider, seed + i, TuningBenchmark.believing(ground, seed + i));
                    for (int k = 0; k < ladders.size(); k++) {
                        its[k + 1] = climb(setup, ground, wider, seed + i, ladders.get(k));
                    }
                    needed[i] = its;
                },
                job);
        List<Outcome> outcomes = new ArrayList<>();
        for (int k = 0; k < ways.size(); k++) {
            int way = k;
            outcomes.add(new Outcome(
                    ways.get(k),
                    Arrays.stream(needed)
                            .filter(n -> Arrays.stream(n).min().orElseThrow() <= MOST_TRIALS)
                            .mapToInt(n -> n[way])
                            .toArray()));
        }
        return outcomes;
    }

    private static int climb(Setup setup, Ground ground, double wider, long seed, Ladder ladder) {
        HiddenTable table = HiddenTable.of(setup, ground, wider, seed);
        List<Trial> trials = new ArrayList<>();
        while (trials.size() < MOST_TRIALS) {
            Optional<Candidate> next = ladder.next(setup, trials);
            if (next.isEmpty()) {
                break;
            }
            trials.add(table.attempt(next.get()));
            if (table.solves(next.get())) {
                return trials.size();
            }
        }
        return MOST_TRIALS + 1;
    }

    private static Ladder believing(Ground ground, long seed) {
        return (setup, trials) -> {
            Story story = new Story(setup, ground, Goal.FINISH, MOST_TRIALS - trials.size(), trials);
            NextTrial next = NextTrial.of(story, seed, Workers.of(1), Job.UNWATCHED);
            // A choice that one more trial would not change, though it does not do it yet: it goes on with it.
            return next.next().or(() -> Optional.of(next.best()));
        };
    }

    private static Candidate at(Setup setup, double kp, double kd) {
        return new Candidate(kp, kd, setup.law().baseCommand());
    }

    private static boolean wiggled(List<Trial> trials) {
        return trials.stream().anyMatch(t -> t.seen() == Seen.WIGGLES);
    }

    /** Kp of one, half as much again until it wiggles, back to 0.6 of that, then more and more Kd. */
    private static Optional<Candidate> halfAsMuchAgain(Setup setup, List<Trial> trials) {
        if (trials.isEmpty()) {
            return Optional.of(at(setup, unit(setup), 0));
        }
        Trial last = trials.get(trials.size() - 1);
        if (!wiggled(trials)) {
            return Optional.of(at(setup, last.kp() * 1.5, 0));
        }
        double top = trials.stream()
                .filter(t -> t.seen() == Seen.WIGGLES)
                .mapToDouble(Trial::kp)
                .findFirst()
                .orElseThrow();
        double kp = 0.6 * top;
        return Optional.of(at(setup, kp, last.kp() != kp ? 0 : last.kd() == 0 ? kp : last.kd() * 1.5));
    }

    /** Doubles while it is lost, halves when it wiggles, by ever smaller steps. */
    private static Optional<Candidate> doubleAndHalve(Setup setup, List<Trial> trials) {
        if (trials.isEmpty()) {
            return Optional.of(at(setup, unit(setup), 0));
        }
        double kp = unit(setup);
        double step = 2;
        int way = 0;
        for (Trial trial : trials) {
            int now = trial.seen() == Seen.WIGGLES ? -1 : 1;
            step = way != 0 && now != way ? Math.sqrt(step) : step;
            way = now;
            kp *= now > 0 ? step : 1 / step;
        }
        return Optional.of(at(setup, kp, wiggled(trials) ? 2 * kp : 0));
    }

    /** Full turn for full error, then down by a quarter, with Kd twice Kp. */
    private static Optional<Candidate> fullTurn(Setup setup, List<Trial> trials) {
        double kp = setup.law().baseCommand() / (unitsFull(setup) / 2) * Math.pow(0.75, trials.size());
        return Optional.of(at(setup, kp, trials.isEmpty() ? 0 : 2 * kp));
    }

    /** A gain of one in percent, whatever the scale. */
    private static double unit(Setup setup) {
        return 100 / unitsFull(setup) * setup.robot().drive().fullCommand() / 255;
    }

    private static double unitsFull(Setup setup) {
        return UsualLaws.top(setup);
    }
}
