package fahrbahn.core.setup;

import fahrbahn.core.check.Bounds;
import fahrbahn.core.check.Check;

/**
 * The beat of the robot's program.
 *
 * @param periodS time T from one reading to the next; above 0
 * @param delayS time d from a reading to the command it causes; 0 or more, may exceed a period, at most a hundred of them
 */
public record Loop(double periodS, double delayS) {
    /** Beyond this the delay swamps any robot; the bound keeps the loop's matrix small. */
    private static final int MOST_DELAY_PERIODS = 100;

    public Loop {
        Check.between("periodS", periodS, Bounds.SHORTEST_LOOP_S, Bounds.LONGEST_LOOP_S);
        Check.notNegative("delayS", delayS);
        Check.require(
                delayS <= MOST_DELAY_PERIODS * periodS,
                "delayS",
                delayS,
                "at most " + MOST_DELAY_PERIODS + " loop periods of " + periodS + " s");
    }
}
