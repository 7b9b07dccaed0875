package fahrbahn.core.next;

import fahrbahn.core.belief.Belief;
import fahrbahn.core.belief.Candidate;
import fahrbahn.core.belief.Ghosts;
import fahrbahn.core.belief.Particle;
import fahrbahn.core.belief.Story;
import fahrbahn.core.belief.Trial;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.statistics.Completion;
import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.core.tuning.race.CourseProposals;
import fahrbahn.core.tuning.race.Goal;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/** Drives settings with robots drawn from a belief, all with a few and the better ones with more, and chooses. */
final class Search {
    private static final double SUSPICIOUS = 0.5;

    /** With so few robots what is lost everywhere is soon left out. */
    private static final int FIRST_ROBOTS = 3;

    private static final int MOST_OF_THEM = 2;

    /** Speeds at which a lap takes so many times the best that was driven are not tried. */
    private static final double SLOWER_LAP = 1.25;

    private static final double SLOWER_FINISH = 1.4;

    private static final int FIRST_KEPT = 30;
    private static final int MORE_ROBOTS = 6;
    private static final int ROBOTS = 20;
    private static final int KEPT = 6;

    /** The best is tried a little slower and faster. */
    private static final int FINER = 1;

    /** Started twice, a robot that is lost now and then shows it. */
    private static final int STARTS = 2;

    /** What the last trial there is time for has to be worth, in time and battery; the more of them are left, the less one costs. */
    private static final double TRIAL_COST = 0.08;

    /** From this chance on a setting that ran may be the last word. */
    private static final double SURE = 0.9;

    /** So often it has to be seen to run: once is luck too easily, and where there is time for more, twice is too. */
    private static final int LEAST_CONFIRMED = 2;

    private static final int MOST_CONFIRMED = 6;

    /** Of the trials there is time for. */
    private static final double CONFIRMING = 0.25;

    private final Story story;
    private final Ghosts ghosts;
    private final Belief belief;
    private final Experience experience;
    private final long seed;
    private final Workers workers;
    private final Job job;

    Search(Story story, Ghosts ghosts, Belief belief, long seed, Workers workers, Job job) {
        this.story = story;
        this.ghosts = ghosts;
        this.belief = belief;
        this.experience = new Experience(story.trials(), story.goal());
        this.seed = seed;
        this.workers = workers;
        this.job = job;
    }

    NextTrial next() {
        Prospects prospects = prospects();
        int best = prospects.best();
        Candidate safest = prospects.settings().get(best);
        Completion chance = chance(prospects, best);
        Optional<Trial> latest = story.trials().isEmpty()
                ? Optional.empty()
                : Optional.of(story.trials().get(story.trials().size() - 1));
        if (belief.wrongWay() > SUSPICIOUS) {
            Optional<Candidate> again = story.trialsLeft() == 0 ? Optional.empty() : latest.map(Search::setting);
            return new NextTrial(
                    again, safest, chance, chance, belief, aside(), Optional.of(suspect()), NextTrial.Why.WRONG_WAY);
        }
        if (story.trialsLeft() == 0) {
            return answer(Optional.empty(), safest, chance, NextTrial.Why.NO_TIME);
        }
        if (belief.contradicts() && timesSeen(latest.orElseThrow()) == 1) {
            return answer(latest.map(Search::setting), safest, chance, NextTrial.Why.CONTRADICTS);
        }
        Optional<Integer> ran = confirmed(prospects);
        if (ran.isPresent()) {
            return answer(
                    Optional.empty(),
                    prospects.settings().get(ran.get()),
                    chance(prospects, ran.get()),
                    NextTrial.Why.DONE);
        }
        int next = story.trialsLeft() == 1 ? best : boldest(prospects);
        return new NextTrial(
                Optional.of(prospects.settings().get(next)),
                safest,
                chance,
                chance(prospects, next),
                belief,
                aside(),
                Optional.empty(),
                NextTrial.Why.PROMISES_MOST);
    }

    private NextTrial answer(Optional<Candidate> next, Candidate best, Completion chance, NextTrial.Why why) {
        return new NextTrial(next, best, chance, chance, belief, aside(), Optional.empty(), why);
    }

    private NextTrial.Aside aside() {
        RideAside rides = new RideAside(story.setup(), story.trials());
        return new NextTrial.Aside(rides.shift(), rides.lightMm(), rides.target(), rides.untold());
    }

    private Prospects prospects() {
        Proposals proposals = new Proposals(story, ghosts, belief);
        List<Candidate> better = fromFullSpeedDown(proposals).best(FIRST_KEPT);
        List<Candidate> good = driven(better, MORE_ROBOTS, 1).best(KEPT);
        Set<Candidate> kept = new LinkedHashSet<>(good);
        kept.addAll(proposals.known());
        good.stream().limit(FINER).map(proposals::slowerAndFaster).forEach(kept::addAll);
        return driven(List.copyOf(kept), ROBOTS, STARTS);
    }

    /** Whatever speed is set: settings at all that the drive has, but for those so slow that most robots have one whose lap is much shorter. */
    private Prospects fromFullSpeedDown(Proposals proposals) {
        List<Candidate> settings = new ArrayList<>();
        List<RunResult[][]> runs = new ArrayList<>();
        List<Particle> robots = belief.some(FIRST_ROBOTS);
        double[] bestLapS = new double[FIRST_ROBOTS];
        Arrays.fill(bestLapS, Double.POSITIVE_INFINITY);
        double slower = story.goal() == Goal.LAP ? SLOWER_LAP : SLOWER_FINISH;
        List<Double> bases = CourseProposals.bases(story.setup());
        int skip = 1; // every other speed, until most robots finish at one
        for (int i = 0; i < bases.size(); i += 1 + skip) {
            double base = bases.get(i);
            long tooSlow = IntStream.range(0, FIRST_ROBOTS)
                    .filter(k -> slower * bestLapS[k] < ghosts.straightLapS(robots.get(k), base))
                    .count();
            if (tooSlow >= MOST_OF_THEM) {
                break;
            }
            add(proposals.at(base), settings, runs);
            best(runs, bestLapS);
            boolean finish = Arrays.stream(bestLapS).filter(Double::isFinite).count() >= MOST_OF_THEM;
            if (finish && skip > 0) {
                skip = 0;
                if (i > 0) {
                    add(proposals.at(bases.get(i - 1)), settings, runs);
                    best(runs, bestLapS);
                }
            }
        }
        experience.best().ifPresent(best -> add(proposals.about(best), settings, runs));
        return new Prospects(settings, runs.toArray(RunResult[][][]::new), story.goal(), experience);
    }

    private static void best(List<RunResult[][]> runs, double[] bestLapS) {
        for (RunResult[][] setting : runs) {
            for (int i = 0; i < bestLapS.length; i++) {
                RunResult run = setting[i][0];
                bestLapS[i] = run != null && run.completed() ? Math.min(bestLapS[i], run.timeS()) : bestLapS[i];
            }
        }
    }

    private void add(List<Candidate> more, List<Candidate> settings, List<RunResult[][]> runs) {
        settings.addAll(more);
        runs.addAll(List.of(runs(more, FIRST_ROBOTS, 1)));
    }

    /** What the best choice is expected to be worth after the most telling trial. */
    private static double mostAfter(Prospects prospects) {
        return IntStream.range(0, prospects.settings().size())
                .mapToDouble(prospects::after)
                .max()
                .orElse(0);
    }

    private static Completion chance(Prospects prospects, int setting) {
        int runs = ROBOTS * STARTS;
        return Completion.of((int) Math.round(prospects.finishes(setting) * runs), runs);
    }

    private int boldest(Prospects prospects) {
        int boldest = prospects.best();
        double most = 0;
        for (int c = 0; c < prospects.settings().size(); c++) {
            boolean hopeless = experience.hopeless(prospects.settings().get(c));
            if (!hopeless && prospects.withinTwo(c) > most) {
                most = prospects.withinTwo(c);
                boldest = c;
            }
        }
        return boldest;
    }

    /** After the usual one has been put right and it turns away again, it is the other. */
    private NextTrial.Suspect suspect() {
        long times =
                story.trials().stream().filter(t -> t.seen() == Seen.TURNS_AWAY).count();
        ErrorSignal kind = story.setup().law().signal();
        NextTrial.Suspect first = kind.tracksEdge()
                ? NextTrial.Suspect.EDGE
                : kind.straddles() ? NextTrial.Suspect.SWAPPED : NextTrial.Suspect.SIGN;
        return times % 2 == 1 ? first : NextTrial.Suspect.SIGN;
    }

    private static Candidate setting(Trial trial) {
        return new Candidate(trial.kp(), trial.kd(), trial.baseCommand());
    }

    /** How often the same was seen of the same setting. */
    private long timesSeen(Trial trial) {
        return story.trials().stream()
                .filter(t -> t.seen() == trial.seen() && t.at(trial.kp(), trial.kd(), trial.baseCommand()))
                .count();
    }

    /** The best setting that has been seen to run often enough, if one more trial of anything is not worth its cost after it. */
    private Optional<Integer> confirmed(Prospects prospects) {
        Optional<Integer> ran = IntStream.range(0, prospects.settings().size())
                .filter(c -> timesSmooth(prospects.settings().get(c)) >= confirming() && prospects.finishes(c) >= SURE)
                .boxed()
                .max(Comparator.comparingDouble(prospects::worth));
        return ran.filter(c -> mostAfter(prospects) - prospects.worth(c) < TRIAL_COST / Math.sqrt(story.trialsLeft()));
    }

    private long confirming() {
        long worth = Math.round(CONFIRMING * story.trialsLeft());
        return Math.max(LEAST_CONFIRMED, Math.min(MOST_CONFIRMED, worth));
    }

    private long timesSmooth(Candidate setting) {
        return story.trials().stream()
                .filter(t -> t.seen() == Seen.SMOOTH && Experience.muchAlike(setting, setting(t)))
                .count();
    }

    private Prospects driven(List<Candidate> settings, int robots, int starts) {
        return new Prospects(settings, runs(settings, robots, starts), story.goal(), experience);
    }

    private RunResult[][][] runs(List<Candidate> settings, int robots, int starts) {
        List<Particle> some = belief.some(robots);
        RunResult[][][] runs = new RunResult[settings.size()][robots][starts];
        workers.run(
                settings.size(),
                c -> {
                    for (int i = 0; i < robots; i++) {
                        for (int k = 0; k < starts; k++) {
                            runs[c][i][k] = ghosts.run(some.get(i), settings.get(c), start(starts * i + k));
                        }
                    }
                },
                job);
        return runs;
    }

    private Start start(int i) {
        return Ghosts.EVENING.draw(0, seed + 77, i);
    }
}
