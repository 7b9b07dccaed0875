package fahrbahn.core.belief;

import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.measuring.Measured;
import java.util.EnumMap;
import java.util.Map;

/** What trials have told better than it was known before: constants that a bench card could have measured. */
public final class Learnt {
    /** Its range has to have shrunk to this share of what it was. */
    private static final double MUCH_BETTER = 0.7;

    /** A range leaves one in twenty beyond either end: so many standard deviations of a normal. */
    private static final double RANGE_SDS = 2 * 1.645;

    private Learnt() {}

    /**
     * @param first before any trial
     * @param trials how many there were
     */
    public static Map<Constant, Measured> of(Belief now, Belief first, int trials) {
        Map<Constant, Measured> learnt = new EnumMap<>(Constant.class);
        add(learnt, Constant.LAG, now.lagS(), first.lagS(), trials);
        add(learnt, Constant.FREE_SPEED, now.freeSpeedMmPerS(), first.freeSpeedMmPerS(), trials);
        add(learnt, Constant.TRACK_WIDTH, now.effectiveWidthMm(), first.effectiveWidthMm(), trials);
        return learnt;
    }

    private static void add(
            Map<Constant, Measured> learnt, Constant constant, Belief.Range now, Belief.Range first, int trials) {
        double width = now.high() - now.low();
        if (trials > 0 && width < MUCH_BETTER * (first.high() - first.low())) {
            learnt.put(constant, new Measured(now.mid(), width / RANGE_SDS, trials));
        }
    }
}
