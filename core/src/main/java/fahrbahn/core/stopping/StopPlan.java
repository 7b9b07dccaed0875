package fahrbahn.core.stopping;

import fahrbahn.core.check.Check;

/**
 * Where a robot is to stop, and what it decides by.
 *
 * @param windowMm to each side of the place, in which the attachment still works; above 0
 * @param rule by which its program stops
 */
public record StopPlan(Sensing sensing, double windowMm, Rule rule) {
    public static final StopPlan USUAL = new StopPlan(Sensing.TYPICAL, 5, Rule.TIMER);

    public StopPlan {
        Check.positive("windowMm", windowMm);
    }

    public StopPlan withSensing(Sensing newSensing) {
        return new StopPlan(newSensing, windowMm, rule);
    }

    public StopPlan withWindowMm(double newWindowMm) {
        return new StopPlan(sensing, newWindowMm, rule);
    }

    public StopPlan withRule(Rule newRule) {
        return new StopPlan(sensing, windowMm, newRule);
    }
}
