package fahrbahn.core.next;

import fahrbahn.core.belief.Belief;
import fahrbahn.core.belief.Candidate;
import fahrbahn.core.belief.Story;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.statistics.Completion;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What to try next, and what would be taken if there were no more time.
 *
 * @param next empty when one more trial would not change the choice
 * @param best what would be taken now
 * @param chance of it to finish, over the robots that may be the one and an evening's differences
 * @param promise chance of the next to finish; of the best where nothing is tried next
 * @param aside where it rides, and the target that would put it right
 * @param suspect what has to be put right before gains mean anything
 */
public record NextTrial(
        Optional<Candidate> next,
        Candidate best,
        Completion chance,
        Completion promise,
        Belief belief,
        Aside aside,
        Optional<Suspect> suspect,
        Why why) {
    /**
     * How a robot on an edge rides.
     *
     * @param shift readings lighter than its program has them, as a share of the contrast
     * @param lightMm how far towards light of the middle of its edge it is likely to ride, as it is set
     * @param target with which it would ride the middle; empty where it does, and where nobody saw it ride beside it
     * @param untold whether it was seen last to ride beside its path, and its law has no target to move
     */
    public record Aside(Belief.Range shift, double lightMm, OptionalDouble target, boolean untold) {}

    /** What makes a robot turn away from its line at once. */
    public enum Suspect {
        SIGN("sign"),
        SWAPPED("swapped"),
        EDGE("edge");

        private final String word;

        Suspect(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    /** Why this is next. */
    public enum Why {
        WRONG_WAY,
        /** What was seen fits no robot there may be: it is to be seen again. */
        CONTRADICTS,
        NO_TIME,
        /** The best has been seen to run, and nothing promises more. */
        DONE,
        PROMISES_MOST
    }

    /** @throws fahrbahn.core.check.BadValueException when the robot cannot be put on the course */
    public static NextTrial of(Story story, long seed, Workers workers, Job job) {
        Tuner tuner = new Tuner(story.setup(), story.prior(), story.course(), story.goal(), seed, workers, job);
        story.trials().forEach(trial -> tuner.see(trial, job));
        return tuner.next(story.trialsLeft(), job);
    }
}
