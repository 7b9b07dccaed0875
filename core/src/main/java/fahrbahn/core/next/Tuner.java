package fahrbahn.core.next;

import fahrbahn.core.belief.Belief;
import fahrbahn.core.belief.Ghosts;
import fahrbahn.core.belief.Prior;
import fahrbahn.core.belief.Story;
import fahrbahn.core.belief.Trial;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.tuning.race.Goal;
import java.util.ArrayList;
import java.util.List;

/** Learns a robot trial by trial, and says what to try next. Not thread-safe. */
public final class Tuner {
    private final Setup setup;
    private final Prior prior;
    private final Ground ground;
    private final Goal goal;
    private final long seed;
    private final Workers workers;
    private final Ghosts ghosts;
    private final Belief belief;
    private final List<Trial> trials = new ArrayList<>();

    /** @throws fahrbahn.core.check.BadValueException when the robot cannot be put on the course */
    public Tuner(Setup setup, Prior prior, Ground ground, Goal goal, long seed, Workers workers, Job job) {
        this.setup = setup;
        this.prior = prior;
        this.ground = ground;
        this.goal = goal;
        this.seed = seed;
        this.workers = workers;
        this.ghosts = new Ghosts(setup, ground, workers, job);
        this.belief = new Belief(ghosts, prior, seed, workers);
    }

    /** One trial more. */
    public void see(Trial trial, Job job) {
        trials.add(trial);
        belief.see(trial, job);
    }

    /** @param left trials for which there is time */
    public NextTrial next(int left, Job job) {
        Story story = new Story(setup, prior, ground, goal, left, trials);
        return new Search(story, ghosts, belief, seed, workers, job).next();
    }
}
