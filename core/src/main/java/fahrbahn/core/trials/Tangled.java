package fahrbahn.core.trials;

import fahrbahn.core.statistics.Sample;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import org.hipparchus.stat.inference.MannWhitneyUTest;
import org.hipparchus.stat.inference.TTest;

/**
 * Whether what two groups differ in goes along with something else that may be the cause: when they were run, or how full the battery was.
 *
 * @param order the chance that groups drawn in a random order are as far apart in it (Mann and Whitney, Ann. Math. Stat. 18, 1947, p. 50), by
 *     the normal approximation, which calls a drawn order tangled in at most one of twenty
 * @param volts difference of the mean volts, second less first; NaN when they were not noted
 * @param voltsP chance of one as large when there is none (Welch's test); NaN likewise
 */
public record Tangled(double order, double volts, double voltsP) {
    /** By luck in one comparison of twenty. */
    private static final double TOLD = 0.05;

    /** Speed goes with the volts; a share smaller than this is within what the same battery does. */
    private static final double SAME_VOLTS_SHARE = 0.01;

    public static Tangled of(List<Run> a, List<Run> b) {
        List<Run> all = new ArrayList<>(a);
        all.addAll(b);
        all.sort(Comparator.comparing(Run::at));
        Map<Run, Integer> place = new IdentityHashMap<>();
        all.forEach(run -> place.put(run, place.size()));
        double[] placesA = a.stream().mapToDouble(place::get).toArray();
        double[] placesB = b.stream().mapToDouble(place::get).toArray();
        Sample voltsA = volts(a);
        Sample voltsB = volts(b);
        boolean noted = voltsA.n() > 1 && voltsB.n() > 1;
        return new Tangled(
                new MannWhitneyUTest().mannWhitneyUTest(placesA, placesB, false),
                voltsB.mean() - voltsA.mean(),
                noted ? welch(voltsA, voltsB) : Double.NaN);
    }

    private static Sample volts(List<Run> runs) {
        return Sample.of(runs.stream().mapToDouble(Run::volts).toArray());
    }

    /** Two batteries read once each for many runs have no scatter of their own: then any difference tells. */
    private static double welch(Sample a, Sample b) {
        if (a.sd() == 0 && b.sd() == 0) {
            return a.mean() == b.mean() ? 1 : 0;
        }
        return new TTest().tTest(a.values(), b.values());
    }

    /** Whether one was run before the other more than a drawn order would have it. */
    public boolean byOrder() {
        return order < TOLD;
    }

    /** Whether one had the fuller battery. */
    public boolean byBattery(double usualVolts) {
        return voltsP < TOLD && Math.abs(volts) > SAME_VOLTS_SHARE * usualVolts;
    }
}
