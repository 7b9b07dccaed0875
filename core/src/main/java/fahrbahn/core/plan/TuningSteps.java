package fahrbahn.core.plan;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.loop.LaneReport;
import fahrbahn.core.loop.WiggleOnset;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import java.util.List;

/** The gains that are tried, one after the other, when a robot is tuned from the start. */
public final class TuningSteps {
    /** Of a lane, from its floor to the onset of wiggling, in which steps of Kp are tried. */
    private static final double[] KP_STEPS = {0.25, 0.4, 0.55};

    /** Kd per Kp. */
    public static final List<Double> KD_PER_KP = List.of(0.0, 1.0, 2.5);

    private TuningSteps() {}

    /** Between the bends' need and the wiggle; about the gain as set where loop theory has no lane. */
    public static double[] kp(Setup setup) {
        Law law = setup.law();
        double floor = 0;
        double onset = 2 * Math.max(law.kp(), 1e-3);
        try {
            LaneReport report = LaneReport.of(setup);
            floor = Double.isFinite(report.bendKp()) ? report.bendKp() : 0;
            onset = report.wiggle().map(WiggleOnset::kp).orElse(onset);
        } catch (BadValueException noTheory) {
            // The steps about the gain as set do.
        }
        double low = Math.min(floor, onset);
        double high = onset;
        double[] steps = new double[KP_STEPS.length];
        for (int i = 0; i < steps.length; i++) {
            steps[i] = low + KP_STEPS[i] * (high - low);
        }
        return steps;
    }
}
