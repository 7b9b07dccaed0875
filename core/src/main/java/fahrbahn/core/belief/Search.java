package fahrbahn.core.belief;

import fahrbahn.core.check.Rounding;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.loop.BendFloor;
import fahrbahn.core.loop.GainAdvice;
import fahrbahn.core.loop.GainAdvisor;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trials.Completion;
import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.core.tuning.Goal;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Drives candidate settings with robots drawn from a belief, coarse to fine, and chooses. */
final class Search {
    private static final double SUSPICIOUS = 0.5;

    /** From this share on a setting counts as sure. */
    private static final double SURE_SHARE = 0.985;

    /** What a missing run in a hundred weighs in the last trial, and while there are more. */
    private static final double LAST_WEIGHT = 25;

    private static final double RISKY_WEIGHT = 5;

    /** What a setting has to promise to be worth a trial after one that ran: this share of the other's lap, scatter, or way beside the path. */
    private static double worth(Goal goal) {
        return switch (goal) {
            case LAP -> 0.94;
            case PLACE -> 0.8;
            case FINISH -> 0.5; // it finishes already
        };
    }

    private static final int STEPS_PER_RATIO = 4;
    private static final int[] ROUND_RUNS = {4, 10, 26};
    private static final int[] ROUND_KEPT = {14, 5, 5};
    private static final List<List<Double>> LAP_SHARES = List.of(List.of(1.0, 1.25, 1.6, 2.1), List.of(0.75));
    private static final List<List<Double>> FINISH_SHARES = List.of(List.of(1.0), List.of(0.75), List.of(0.5));

    /** From this share on, over the robots that may be the one, no slower speed is looked at. */
    private static final double ENOUGH = 0.8;

    private static final double[] WIDE_KD_PER_KP = {0, 1.5, 5};
    private static final double[] WIDE_KP = {0.5, 0.9, 1.6, 3};

    /** One candidate with the runs that ghosts have driven. */
    private record Driven(Candidate setting, RunResult[] runs) {
        double share() {
            return (double) Arrays.stream(runs)
                            .filter(r -> r != null && r.completed())
                            .count()
                    / runs.length;
        }

        /** Less is better. */
        double cost(Goal goal, double lostWeight) {
            double[] figure = Arrays.stream(runs)
                    .filter(r -> r != null && r.completed())
                    .mapToDouble(r -> goal == Goal.LAP ? r.timeS() : goal == Goal.PLACE ? r.stopAlongMm() : r.rmsMm())
                    .toArray();
            double lost = 1 + lostWeight * Math.max(0, SURE_SHARE - share());
            if (figure.length == 0) {
                double far = Arrays.stream(runs)
                        .mapToDouble(r -> r == null ? 0 : r.sMm())
                        .average()
                        .orElse(0);
                return 1e9 - far;
            }
            double mean = Arrays.stream(figure).average().orElseThrow();
            if (goal == Goal.PLACE) {
                double squares =
                        Arrays.stream(figure).map(f -> (f - mean) * (f - mean)).sum();
                return (1 + Math.sqrt(squares / figure.length)) * lost;
            }
            return mean * lost;
        }
    }

    private final Story story;
    private final Ghosts ghosts;
    private final Belief belief;
    private final long seed;
    private final Workers workers;
    private final Job job;

    Search(Story story, Ghosts ghosts, Belief belief, long seed, Workers workers, Job job) {
        this.story = story;
        this.ghosts = ghosts;
        this.belief = belief;
        this.seed = seed;
        this.workers = workers;
        this.job = job;
    }

    NextTrial next() {
        boolean last = story.trialsLeft() <= 1;
        List<Driven> kept = List.of();
        for (List<Double> shares : story.goal() == Goal.LAP ? LAP_SHARES : FINISH_SHARES) {
            List<Driven> these = candidates(shares).stream()
                    .map(c -> new Driven(c, new RunResult[0]))
                    .toList();
            for (int i = 0; i < ROUND_RUNS.length; i++) {
                these = best(driven(these, ROUND_RUNS[i]), ROUND_KEPT[i], last ? LAST_WEIGHT : RISKY_WEIGHT);
            }
            List<Driven> both = new ArrayList<>(kept);
            both.addAll(these);
            kept = both;
            if (best(kept, 1, LAST_WEIGHT).get(0).share() >= ENOUGH) {
                break; // slower is safer still, but nobody wants to be slower than is needed
            }
        }
        Driven safest = best(kept, 1, LAST_WEIGHT).get(0);
        Driven boldest = best(kept, 1, last ? LAST_WEIGHT : RISKY_WEIGHT).get(0);
        Driven sure = more(safest, 80);
        Completion chance = Completion.of((int) Math.round(sure.share() * sure.runs().length), sure.runs().length);
        Optional<Trial> latest = story.trials().isEmpty()
                ? Optional.empty()
                : Optional.of(story.trials().get(story.trials().size() - 1));
        if (belief.wrongWay() > SUSPICIOUS) {
            Trial again = latest.orElseThrow();
            return new NextTrial(
                    story.trialsLeft() == 0
                            ? Optional.empty()
                            : Optional.of(new Candidate(again.kp(), again.kd(), again.baseCommand())),
                    safest.setting(),
                    chance,
                    belief,
                    Optional.of(suspect()),
                    NextTrial.Why.WRONG_WAY);
        }
        if (story.trialsLeft() == 0) {
            return answer(Optional.empty(), safest, chance, NextTrial.Why.NO_TIME);
        }
        if (belief.contradicts() && latest.isPresent()) {
            Trial again = latest.get();
            return answer(
                    Optional.of(new Candidate(again.kp(), again.kd(), again.baseCommand())),
                    safest,
                    chance,
                    NextTrial.Why.CONTRADICTS);
        }
        Optional<Driven> ran = bestThatRan();
        double weight = last ? LAST_WEIGHT : RISKY_WEIGHT;
        if (ran.isPresent()
                && ran.get().share() >= 0.95
                && boldest.cost(story.goal(), weight)
                        > worth(story.goal()) * ran.get().cost(story.goal(), LAST_WEIGHT)) {
            return answer(Optional.empty(), ran.get(), chanceOf(ran.get()), NextTrial.Why.DONE);
        }
        Driven go = tried(boldest.setting()) && !tried(safest.setting()) ? safest : boldest;
        return answer(Optional.of(go.setting()), safest, chance, NextTrial.Why.PROMISES_MOST);
    }

    private NextTrial answer(Optional<Candidate> next, Driven best, Completion chance, NextTrial.Why why) {
        return new NextTrial(next, best.setting(), chance, belief, Optional.empty(), why);
    }

    private Completion chanceOf(Driven driven) {
        return Completion.of((int) Math.round(driven.share() * driven.runs().length), driven.runs().length);
    }

    /** After the usual one has been put right and it turns away again, it is the other. */
    private NextTrial.Suspect suspect() {
        long times =
                story.trials().stream().filter(t -> t.seen() == Seen.TURNS_AWAY).count();
        Law.Kind kind = story.setup().law().kind();
        NextTrial.Suspect first = kind == Law.Kind.EDGE
                ? NextTrial.Suspect.EDGE
                : kind == Law.Kind.PAIR ? NextTrial.Suspect.SWAPPED : NextTrial.Suspect.SIGN;
        return times % 2 == 1 ? first : NextTrial.Suspect.SIGN;
    }

    private boolean tried(Candidate setting) {
        return story.trials().stream().anyMatch(t -> t.at(setting.kp(), setting.kd(), setting.baseCommand()));
    }

    /** Of the settings that were seen to run smoothly, and never to fail, the best. */
    private Optional<Driven> bestThatRan() {
        List<Driven> ran = story.trials().stream()
                .filter(t -> t.seen() == Seen.SMOOTH)
                .filter(t -> story.trials().stream()
                        .noneMatch(o -> Sight.lost(o.seen()) && o.at(t.kp(), t.kd(), t.baseCommand())))
                .map(t -> more(new Driven(new Candidate(t.kp(), t.kd(), t.baseCommand()), new RunResult[0]), 60))
                .toList();
        return ran.stream().min(Comparator.comparingDouble(d -> d.cost(story.goal(), LAST_WEIGHT)));
    }

    private List<Candidate> candidates(List<Double> shares) {
        List<Candidate> all = new ArrayList<>();
        for (double base : bases(shares)) {
            Setup at = likely(base);
            List<GainAdvice> pairs = GainAdvisor.proposals(at, STEPS_PER_RATIO);
            pairs.forEach(p -> all.add(new Candidate(two(p.kp()), two(p.kd()), base)));
            double floor = BendFloor.kp(at);
            if (pairs.isEmpty() && Double.isFinite(floor)) {
                for (double times : WIDE_KP) {
                    for (double ratio : WIDE_KD_PER_KP) {
                        all.add(new Candidate(two(times * floor), two(times * floor * ratio), base));
                    }
                }
            }
        }
        Law law = story.setup().law();
        all.add(new Candidate(law.kp(), law.kd(), law.baseCommand()));
        story.trials().stream()
                .filter(t -> t.seen() == Seen.SMOOTH || t.seen() == Seen.WIGGLES)
                .forEach(t -> all.add(new Candidate(t.kp(), t.kd(), t.baseCommand())));
        return all.stream().distinct().toList();
    }

    private List<Double> bases(List<Double> shares) {
        Drive drive = story.setup().robot().drive();
        double set = story.setup().law().baseCommand();
        double least = 1.05 * drive.traits().curve().startsAboveCommand();
        List<Double> bases = new ArrayList<>();
        for (double share : shares) {
            double base = share == 1 ? set : Math.min(drive.fullCommand(), Rounding.significant(set * share, 3));
            if (base > least && !bases.contains(base)) {
                bases.add(base);
            }
        }
        return bases;
    }

    /** The robot in the middle of the belief, whose loop theory proposes pairs. */
    private Setup likely(double base) {
        Setup setup = story.setup();
        Drive drive = setup.robot().drive();
        Loop loop = setup.robot().loop();
        Drive driven = new Drive(
                drive.trackWidthMm(),
                belief.freeSpeedMmPerS().mid(),
                belief.lagS().mid(),
                drive.mixing(),
                drive.fullCommand(),
                drive.traits());
        return setup.withRobot(setup.robot()
                        .withDrive(driven)
                        .withLoop(new Loop(loop.periodS(), belief.delayS().mid())))
                .withLaw(setup.law().withBaseCommand(base));
    }

    private List<Driven> best(List<Driven> all, int count, double lostWeight) {
        return all.stream()
                .sorted(Comparator.comparingDouble(d -> d.cost(story.goal(), lostWeight)))
                .limit(count)
                .toList();
    }

    private List<Driven> driven(List<Driven> all, int runs) {
        int upTo = all.stream().mapToInt(d -> d.runs().length).max().orElse(0) + runs;
        List<Particle> some = belief.some(ROUND_RUNS[0] + ROUND_RUNS[1] + ROUND_RUNS[2]);
        Driven[] more = new Driven[all.size()];
        workers.run(more.length, i -> more[i] = upTo(all.get(i), some, upTo), job);
        return List.of(more);
    }

    private Driven more(Driven one, int runs) {
        List<Particle> some = belief.some(runs);
        RunResult[] results = new RunResult[runs];
        workers.run(runs, i -> results[i] = run(one.setting(), some, i), job);
        return new Driven(one.setting(), results);
    }

    private Driven upTo(Driven one, List<Particle> some, int upTo) {
        RunResult[] runs = Arrays.copyOf(one.runs(), upTo);
        for (int i = one.runs().length; i < upTo; i++) {
            runs[i] = run(one.setting(), some, i);
        }
        return new Driven(one.setting(), runs);
    }

    /** Strides through the robots, so that a few runs see them all over. */
    private RunResult run(Candidate setting, List<Particle> some, int i) {
        Start start = Ghosts.EVENING.draw(0, seed + 77, i);
        int at = (int) ((i * 0.6180339887498949 % 1) * some.size());
        return ghosts.run(some.get(at), setting, start);
    }

    private static double two(double value) {
        return Rounding.significant(value, 2);
    }
}
