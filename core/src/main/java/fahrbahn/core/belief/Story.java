package fahrbahn.core.belief;

import fahrbahn.core.check.Check;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.tuning.race.Goal;
import java.util.List;

/**
 * What has been tried so far.
 *
 * @param setup as the coach believes the robot to be
 * @param prior how far the robot may be from that
 * @param trialsLeft how many more there is time for, 0 to 1000
 * @param trials oldest first, at most 200
 */
public record Story(Setup setup, Prior prior, Ground course, Goal goal, int trialsLeft, List<Trial> trials) {
    private static final int MOST = 200;
    static final int MOST_LEFT = 1000;

    /** Of a robot of which nothing was measured. */
    public Story(Setup setup, Ground course, Goal goal, int trialsLeft, List<Trial> trials) {
        this(setup, Prior.GUESSED, course, goal, trialsLeft, trials);
    }

    public Story {
        Check.between("trialsLeft", trialsLeft, 0, MOST_LEFT);
        trials = List.copyOf(trials);
        Check.require(trials.size() <= MOST, "trials", trials.size(), "at most " + MOST);
        double full = setup.robot().drive().fullCommand();
        for (Trial trial : trials) {
            Check.require(
                    trial.baseCommand() <= full,
                    "baseCommand",
                    trial.baseCommand(),
                    "at most the max motor value, " + full);
        }
    }
}
