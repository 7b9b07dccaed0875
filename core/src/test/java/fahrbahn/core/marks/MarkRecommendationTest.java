package fahrbahn.core.marks;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Drawn marks, learnt from some captures and judged by fresh ones in other light. */
class MarkRecommendationTest {
    private static final int SETS = 40;
    private static final int EACH = 20;
    private static final double[] DARK = {0.06, 0.06, 0.06};
    private static final double[] LIGHT = {0.86, 0.88, 0.84};
    private static final double[] FULL = {300, 260, 200};
    private static final List<MarkSchool> NEAREST = List.of(
            MarkSchool.SCALED_CENTRES, MarkSchool.CONE_CENTRES, MarkSchool.CYLINDER_CENTRES, MarkSchool.COVARIANCE);

    private static Map<String, double[]> marks(Random random) {
        Map<String, double[]> marks = new LinkedHashMap<>();
        marks.put("dark", DARK);
        marks.put("light", LIGHT);
        for (String name : List.of("turn", "stop", "entry")) {
            double base = 0.15 + 0.5 * random.nextDouble();
            double[] colour = new double[3];
            for (int c = 0; c < 3; c++) {
                colour[c] = base * Math.exp(0.5 * random.nextGaussian());
            }
            marks.put(name, colour);
        }
        return marks;
    }

    /** Each surface once, and the edge, in light that differs by a tenth from one capture to the next. */
    private static List<MarkSample> capture(Random random, Map<String, double[]> marks, String name) {
        List<MarkSample> samples = new ArrayList<>();
        double light = Math.exp(0.1 * random.nextGaussian());
        marks.forEach((surface, colour) -> add(samples, random, surface, name, light, colour, colour));
        add(samples, random, "edge", name, light, DARK, LIGHT);
        return samples;
    }

    private static void add(
            List<MarkSample> samples,
            Random random,
            String surface,
            String capture,
            double light,
            double[] from,
            double[] to) {
        double placed = light * Math.exp(0.05 * random.nextGaussian());
        for (int i = 0; i < EACH; i++) {
            double share = random.nextDouble();
            double one = placed * Math.exp(0.05 * random.nextGaussian());
            double[] rgb = new double[3];
            for (int c = 0; c < 3; c++) {
                double reflects = from[c] + share * (to[c] - from[c]);
                rgb[c] = Math.rint(FULL[c] * one * reflects + 4 * random.nextGaussian());
            }
            samples.add(new MarkSample(surface, capture, rgb[0], rgb[1], rgb[2]));
        }
    }

    private static double misreadShare(MarkComparison.Reader reader, List<MarkSample> fresh) {
        long wrong = fresh.stream()
                .filter(f -> {
                    String taken = reader.take(f.rgb());
                    boolean left = taken.equals("none") && MarkSample.ground(f.surface());
                    return !taken.equals(f.surface()) && !left;
                })
                .count();
        return (double) wrong / fresh.size();
    }

    /** As judged, never worse than the best of the nearest means; on fresh captures hardly so on average. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3})
    void isAsGoodAsTheBestOfTheNearestMeans(int captures) {
        double behind = 0;
        for (int set = 0; set < SETS; set++) {
            Random random = new Random(100 * captures + set);
            Map<String, double[]> marks = marks(random);
            List<MarkSample> learnt = new ArrayList<>();
            for (int c = 0; c < captures; c++) {
                learnt.addAll(capture(random, marks, "capture " + c));
            }
            MarkComparison comparison = MarkComparison.of(learnt);
            MarkSchool recommended = comparison.recommended();
            assertThat(NEAREST)
                    .allMatch(s -> comparison.of(recommended).misreads()
                            <= comparison.of(s).misreads());
            List<MarkSample> fresh = new ArrayList<>();
            for (int c = 0; c < 10; c++) {
                fresh.addAll(capture(random, marks, "fresh " + c));
            }
            double best = NEAREST.stream()
                    .mapToDouble(s -> misreadShare(comparison.reader(s), fresh))
                    .min()
                    .orElseThrow();
            behind += (misreadShare(comparison.reader(recommended), fresh) - best) / SETS;
        }
        // By what light does to a mark that was seen in no other; taking what fits the captures best came to 0.028 with
        // one of them.
        assertThat(behind).isLessThan(captures == 1 ? 0.015 : 0.01);
    }
}
