package fahrbahn.core.stopping;

import fahrbahn.core.setup.Setup;
import fahrbahn.core.statistics.StoppingRule;
import fahrbahn.core.statistics.StoppingRule.Circumstances;
import fahrbahn.core.twin.Spread;
import java.util.OptionalDouble;

/** What the formulas say of a rule's scatter, beside what the twin does: independent causes that add in squares. */
public final class StopFormula {
    private StopFormula() {}

    /** Standard deviation along the line, mm; empty for rules without a formula: what both sensors see at once, and readings that miss. */
    public static OptionalDouble scatterMm(Rule rule, Setup setup, Sensing sensing, Spread spread) {
        Circumstances circumstances = new Circumstances(
                sensing.wayMm(),
                setup.speedMmPerS(),
                Math.hypot(spread.batteryShare(), spread.gripShare()),
                spread.gripShare(),
                sensing.wheelStepMm(),
                sensing.markNoiseMm(),
                setup.robot().loop().periodS(),
                setup.robot().loop().delayS() + setup.robot().drive().lagS());
        return switch (rule) {
            case TIMER -> OptionalDouble.of(StoppingRule.TIMER.scatterMm(circumstances));
            case WHEEL_TURNS -> OptionalDouble.of(StoppingRule.WHEEL_TURNS.scatterMm(circumstances));
            case MARK -> OptionalDouble.of(StoppingRule.MARK.scatterMm(circumstances));
            case BOTH_DARK, DISTANCE -> OptionalDouble.empty();
        };
    }
}
