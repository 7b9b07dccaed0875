package fahrbahn.core.belief;

import fahrbahn.core.check.Check;
import fahrbahn.core.tuning.race.Goal;
import java.time.Instant;

/**
 * What trials are for, and how many there was time for when that was said.
 *
 * @param trialsLeft 0 to 1000
 * @param since trials after it take from them
 */
public record Wish(Goal goal, int trialsLeft, Instant since) {
    /** As long as nobody said: an evening's trials, to finish. */
    public static final Wish USUAL = new Wish(Goal.FINISH, 6, Instant.EPOCH);

    public Wish {
        Check.between("trialsLeft", trialsLeft, 0, Story.MOST_LEFT);
    }
}
