package fahrbahn.core.marks;

import fahrbahn.core.colour.ColourRule;
import fahrbahn.core.colour.ColourSpace;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * A box about each mark's mean, so wide that one reading in a hundred falls outside: each channel reaches {@code z} standard deviations, with
 * {@code z} such that all three hold at once in 99 %. Ground has no box: what lies in none is ground.
 */
final class Boxes {
    private static final double MISSED = 0.01;

    private static final double SIGMAS = new NormalDistribution()
            .inverseCumulativeProbability(0.5 + Math.pow(1 - MISSED, 1.0 / ColourSpace.CHANNELS) / 2);

    /** No box is narrower than this, of the way from dark to light: a display rounds. */
    private static final double LEAST_REACH = 0.01;

    private Boxes() {}

    static Learnt of(ColourSpace space, Map<String, Moments> surfaces) {
        List<ColourRule.Known> known = new ArrayList<>();
        List<Learnt.Constant> constants = new ArrayList<>();
        surfaces.forEach((surface, moments) -> {
            if (moments.n() > 0 && !MarkSample.ground(surface)) {
                Double[] centre = new Double[ColourSpace.CHANNELS];
                Double[] reach = new Double[ColourSpace.CHANNELS];
                for (int i = 0; i < reach.length; i++) {
                    centre[i] = moments.mean()[i];
                    reach[i] = Math.max(LEAST_REACH, SIGMAS * moments.sd(i));
                    constants.add(new Learnt.Constant(surface + " " + (i + 1), centre[i]));
                    constants.add(new Learnt.Constant(surface + " " + (i + 1) + " tolerance", reach[i]));
                }
                known.add(new ColourRule.Known(surface, Arrays.asList(centre), Arrays.asList(reach)));
            }
        });
        return new Learnt(new ColourRule(space, List.of(), known), constants);
    }
}
