package fahrbahn.core.tuning;

import fahrbahn.core.loop.GainAdvice;
import fahrbahn.core.statistics.Completion;

/**
 * A pair of gains that the twin has tried on the tightest bend, both ways round.
 *
 * @param gains with how they stand to the margins
 * @param chance to come round with everything varied
 * @param rmsMm root mean square distance from the path of the runs that came round
 */
public record TwinAdvice(GainAdvice gains, Completion chance, double rmsMm) {
    double share() {
        return (double) chance.completed() / chance.runs();
    }
}
