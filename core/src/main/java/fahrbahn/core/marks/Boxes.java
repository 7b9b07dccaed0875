package fahrbahn.core.marks;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * A box about each mark's mean, so wide that one reading in a hundred falls outside: each channel reaches {@code z} standard deviations, with
 * {@code z} such that all three hold at once in 99 %. Ground has no box: what lies in none is ground.
 */
record Boxes(Map<String, double[]> centres, Map<String, double[]> reaches) implements MarkClassifier {
    private static final double MISSED = 0.01;

    private static final double SIGMAS = new NormalDistribution()
            .inverseCumulativeProbability(0.5 + Math.pow(1 - MISSED, 1.0 / MarkSpace.CHANNELS) / 2);

    /** No box is narrower than this, of the way from dark to light: a display rounds. */
    private static final double LEAST_REACH = 0.01;

    static Boxes of(Map<String, Moments> surfaces) {
        Map<String, double[]> centres = new LinkedHashMap<>();
        Map<String, double[]> reaches = new LinkedHashMap<>();
        surfaces.forEach((surface, moments) -> {
            if (moments.n() > 0 && !MarkSample.ground(surface)) {
                double[] reach = new double[MarkSpace.CHANNELS];
                for (int i = 0; i < reach.length; i++) {
                    reach[i] = Math.max(LEAST_REACH, SIGMAS * moments.sd(i));
                }
                centres.put(surface, moments.mean());
                reaches.put(surface, reach);
            }
        });
        return new Boxes(centres, reaches);
    }

    /** Where boxes overlap, the one whose middle is nearest for its width. */
    @Override
    public String take(double[] features) {
        String taken = NONE;
        double least = 1;
        for (Map.Entry<String, double[]> centre : centres.entrySet()) {
            double[] reach = reaches.get(centre.getKey());
            double furthest = 0;
            for (int i = 0; i < features.length; i++) {
                furthest = Math.max(furthest, Math.abs(features[i] - centre.getValue()[i]) / reach[i]);
            }
            if (furthest <= least) {
                least = furthest;
                taken = centre.getKey();
            }
        }
        return taken;
    }

    @Override
    public List<Constant> constants() {
        List<Constant> constants = new ArrayList<>();
        centres.forEach((surface, centre) -> {
            for (int i = 0; i < centre.length; i++) {
                constants.add(new Constant(surface + " " + (i + 1), centre[i]));
                constants.add(new Constant(surface + " " + (i + 1) + " tolerance", reaches.get(surface)[i]));
            }
        });
        return constants;
    }
}
