package fahrbahn.app.freshness;

import fahrbahn.core.knowledge.FreshnessRule;
import java.util.Arrays;

/** The stops along the road, in the order of the work. */
public enum Station {
    ROBOT("Robot", FreshnessRule.ROBOT),
    TABLE("Table", FreshnessRule.TABLE),
    MEASURE("Measure", FreshnessRule.CAPTURES),
    LEVELS("Thresholds", FreshnessRule.LEVELS),
    GAINS("Gains", FreshnessRule.GAINS),
    DRIVE("Drive", FreshnessRule.DRIVE),
    RUNS("Runs", FreshnessRule.RUNS),
    HANDOVER("Hand-over", FreshnessRule.HAND_OVER);

    private final String title;
    private final FreshnessRule rule;

    Station(String title, FreshnessRule rule) {
        this.title = title;
        this.rule = rule;
    }

    public String title() {
        return title;
    }

    /** What its result rests on, and what makes that out of date. */
    public FreshnessRule rule() {
        return rule;
    }

    /** The station that has such results. */
    static Station of(FreshnessRule rule) {
        return Arrays.stream(values()).filter(s -> s.rule == rule).findFirst().orElseThrow();
    }

    /** The stop after this one; after the last, the first. */
    public Station next() {
        return values()[(ordinal() + 1) % values().length];
    }
}
