package fahrbahn.core.law;

import fahrbahn.core.check.Rounding;
import fahrbahn.core.setup.Options.Outer;
import fahrbahn.core.setup.Options.Pattern;
import fahrbahn.core.setup.Options.Step;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;

/** What a law begins with when it is put on a robot: a start to be changed, by our own reckoning. */
public final class UsualLaws {
    /** Of full steering, for the furthest sensor and the outermost step. */
    private static final double HARD_SHARE = 0.35;

    /** A straight zone of this much of the way from dark to light, to either side. */
    private static final double ZONE_SHARE = 0.15;

    private static final int DIGITS = 2;

    private UsualLaws() {}

    /** Full steering: that of the mixing, or the full command. */
    public static double fullSteering(Setup setup) {
        double limit =
                setup.robot().drive().mixing().steeringLimit(setup.robot().drive());
        return Double.isFinite(limit) ? limit : setup.robot().drive().fullCommand();
    }

    /**
     * For every code in which neighbours see the line: steering towards their middle, harder the further out it is. Left out stays what keeps
     * the steering there was: gaps, and codes no line makes.
     */
    public static List<Pattern> patterns(Setup setup) {
        List<Sensor> row = setup.row();
        int n = row.size();
        double furthest =
                row.stream().mapToDouble(s -> Math.abs(s.leftMm())).max().orElseThrow();
        List<Pattern> patterns = new ArrayList<>();
        for (int from = 0; from < n; from++) {
            for (int to = from; to < n; to++) {
                double middle = (row.get(from).leftMm() + row.get(to).leftMm()) / 2;
                String bits = "0".repeat(from) + "1".repeat(to - from + 1) + "0".repeat(n - 1 - to);
                double steering = HARD_SHARE * fullSteering(setup) * middle / furthest;
                patterns.add(new Pattern(bits, to - from + 1 == n ? 0 : Rounding.significant(steering, DIGITS)));
            }
        }
        return patterns;
    }

    /**
     * Steps of a staircase.
     *
     * @param count 1 or more
     * @param zone whether it goes straight on about its target
     */
    public static List<Step> steps(Setup setup, int count, boolean zone) {
        double top = top(setup);
        double hard = HARD_SHARE * fullSteering(setup);
        List<Step> steps = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double from = (zone ? ZONE_SHARE : 0) * top + 2 * ZONE_SHARE * top * i;
            steps.add(
                    new Step(Rounding.significant(from, DIGITS), Rounding.significant(hard * (i + 1) / count, DIGITS)));
        }
        return steps;
    }

    /** From dark to light in the law's numbers; of a weighted mean, half its row. */
    public static double top(Setup setup) {
        if (setup.law().signal().isMean()) {
            List<Sensor> row = setup.lawSensors();
            return (row.get(0).leftMm() - row.get(row.size() - 1).leftMm()) / 2;
        }
        Sensor sensor = setup.lawSensors().get(0);
        Scale scale = setup.law().scale();
        return Math.abs(scale.light(sensor) - scale.dark(sensor));
    }

    /** The two outermost sensors as emergency sensors. */
    public static Outer outer(Setup setup) {
        List<Sensor> all = setup.robot().sensors();
        return new Outer(
                all.get(0).name(),
                all.get(all.size() - 1).name(),
                Rounding.significant(HARD_SHARE * 2 * fullSteering(setup), DIGITS));
    }
}
