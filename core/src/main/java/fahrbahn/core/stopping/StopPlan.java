package fahrbahn.core.stopping;

import fahrbahn.core.check.Check;

/**
 * Where a robot is to stop, and what it can decide by.
 *
 * @param windowMm to each side of the place, in which the attachment still works; above 0
 */
public record StopPlan(Sensing sensing, double windowMm) {
    public static final StopPlan USUAL = new StopPlan(Sensing.TYPICAL, 5);

    public StopPlan {
        Check.positive("windowMm", windowMm);
    }
}
