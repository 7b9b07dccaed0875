package fahrbahn.core.marks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.colour.ColourReader;
import fahrbahn.core.colour.ColourRule;
import fahrbahn.core.colour.ColourScale;
import fahrbahn.core.colour.ColourSpace;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class MarkComparisonTest {
    /** Reflectances of surfaces of our own, red, green, blue. */
    private static final Map<String, double[]> TRUTH = new LinkedHashMap<>();

    static {
        TRUTH.put("dark", new double[] {0.06, 0.06, 0.06});
        TRUTH.put("light", new double[] {0.86, 0.88, 0.84});
        TRUTH.put("turn", new double[] {0.2, 0.55, 0.45});
        TRUTH.put("stop", new double[] {0.62, 0.16, 0.3});
        TRUTH.put("entry", new double[] {1.2, 1.22, 1.2});
    }

    /** One capture of each surface, and of the edge, at each light level; the dark ones read a little of the room as well. */
    private static List<MarkSample> samples(long seed, double noise, int each, double... lights) {
        Random random = new Random(seed);
        List<MarkSample> samples = new ArrayList<>();
        for (double light : lights) {
            for (Map.Entry<String, double[]> surface : TRUTH.entrySet()) {
                add(samples, random, surface.getKey(), "at " + light, surface.getValue(), light, noise, each);
            }
            for (int i = 0; i < each; i++) {
                double share = random.nextDouble();
                double[] between = new double[3];
                for (int c = 0; c < 3; c++) {
                    between[c] = share * TRUTH.get("dark")[c] + (1 - share) * TRUTH.get("light")[c];
                }
                add(samples, random, "edge", "at " + light, between, light, noise, 1);
            }
        }
        return samples;
    }

    private static void add(
            List<MarkSample> samples,
            Random random,
            String name,
            String capture,
            double[] truth,
            double light,
            double noise,
            int n) {
        for (int i = 0; i < n; i++) {
            samples.add(new MarkSample(
                    name,
                    capture,
                    Math.rint(300 * light * truth[0] + noise * random.nextGaussian()),
                    Math.rint(260 * light * truth[1] + noise * random.nextGaussian()),
                    Math.rint(200 * light * truth[2] + noise * random.nextGaussian())));
        }
    }

    /** What is left out by taking its moments out is what is left out by learning anew from all others. */
    @ParameterizedTest
    @EnumSource(MarkSchool.class)
    void leavingOutIsLearningAnewFromTheOthers(MarkSchool school) {
        List<MarkSample> samples = samples(4, 9, 7, 1);
        ColourScale scale = MarkComparison.of(samples).scale();
        Map<Confusions.Pair, Integer> taken = new LinkedHashMap<>();
        for (int i = 0; i < samples.size(); i++) {
            Map<String, Moments> others = new LinkedHashMap<>();
            for (int j = 0; j < samples.size(); j++) {
                others.putIfAbsent(samples.get(j).surface(), Moments.none());
                if (j != i) {
                    double[] point =
                            school.space().features(scale.scaled(samples.get(j).rgb()));
                    others.put(
                            samples.get(j).surface(),
                            others.get(samples.get(j).surface()).with(point));
                }
            }
            String was = samples.get(i).surface();
            String as = new ColourReader(school.learn(others).rule())
                    .take(scale.scaled(samples.get(i).rgb()));
            boolean left = as.equals("none") && MarkSample.ground(was);
            if (!was.equals(as) && !left) {
                taken.merge(new Confusions.Pair(was, as), 1, Integer::sum);
            }
        }
        assertThat(MarkComparison.of(samples).byReading(school).taken()).isEqualTo(taken);
    }

    /** Three light levels: what one light alone teaches errs under another, and readings of one capture do not tell. */
    @Test
    void wholeCapturesLeftOutTellWhatOtherLightDoes() {
        MarkComparison comparison = MarkComparison.of(samples(5, 3, 15, 0.8, 1, 1.25));
        for (MarkSchool school : MarkSchool.values()) {
            Confusions byReading = comparison.byReading(school);
            Confusions byCapture = comparison.byCapture(school).orElseThrow();
            assertThat(byCapture.of()).isEqualTo(byReading.of()).isEqualTo(3 * 6 * 15);
            assertThat(byCapture.misreads()).as("%s", school).isGreaterThanOrEqualTo(byReading.misreads() * 8 / 10);
            assertThat(comparison.of(school)).isEqualTo(byCapture);
        }
        MarkSchool best = comparison.recommended();
        for (MarkSchool school : MarkSchool.values()) {
            assertThat(comparison.of(best).harmful())
                    .isLessThanOrEqualTo(comparison.of(school).harmful());
        }
        assertThat(comparison.of(best).harmful())
                .as("%s", best)
                .isLessThan(comparison.of(best).of() / 10);
    }

    @Test
    void oneCaptureOfEachHasNoCaptureToLeaveOut() {
        MarkComparison comparison = MarkComparison.of(samples(6, 2, 12, 1));
        assertThat(comparison.byCapture(MarkSchool.CONE_CENTRES)).isEmpty();
        MarkComparison.Reader reader = comparison.reader(MarkSchool.CONE_CENTRES);
        assertThat(reader.take(new double[] {60, 143, 90})).isEqualTo("turn");
        assertThat(reader.take(new double[] {186, 42, 60})).isEqualTo("stop");
        assertThat(reader.constants()).containsKey("turn 1");
        MarkComparison.Reader box = comparison.reader(MarkSchool.BOX);
        assertThat(box.take(new double[] {60, 143, 90})).isEqualTo("turn");
        assertThat(box.take(new double[] {258, 229, 168}))
                .as("ground has no box")
                .isEqualTo("none");
    }

    /** What a program needs of it is a level between each two neighbours on the one channel, nothing else. */
    @Test
    void oneChannelIsCutByLevelsBetweenNeighbours() {
        MarkComparison comparison = MarkComparison.of(samples(7, 4, 20, 1));
        MarkComparison.Reader reader = comparison.reader(MarkSchool.ONE_CHANNEL);
        ColourRule.Cut cut = reader.rule().cut().orElseThrow();
        List<ColourRule.Known> known = reader.rule().known();
        assertThat(known)
                .hasSize(6)
                .allMatch(k -> k.centre().isEmpty() && k.reach().isEmpty());
        assertThat(cut.levels()).hasSize(5).isSorted();
        ColourReader takes = new ColourReader(reader.rule());
        for (int i = 0; i < 5; i++) {
            double level = cut.levels().get(i);
            assertThat(reader.constants())
                    .containsEntry(
                            known.get(i).surface() + " below "
                                    + known.get(i + 1).surface(),
                            level);
            double[] at = {9, -9, 9}; // what the other channels read does not matter
            at[cut.feature()] = Math.nextDown(level);
            assertThat(takes.take(at)).isEqualTo(known.get(i).surface());
            at[cut.feature()] = level;
            assertThat(takes.take(at))
                    .as("from the level on")
                    .isEqualTo(known.get(i + 1).surface());
        }
        assertThat(reader.tolerances()).isEmpty();
    }

    /** Twins can be told apart by nobody; they are no reason to break off. */
    @Test
    void surfacesThatReadAlikeShareALevel() {
        List<MarkSample> samples = new ArrayList<>();
        for (String twin : List.of("a", "b", "c")) {
            add(samples, new Random(8), twin, "", new double[] {0.3, 0.31, 0.37}, 1, 5, 9);
        }
        add(samples, new Random(8), "dark", "", TRUTH.get("dark"), 1, 5, 9);
        add(samples, new Random(9), "light", "", TRUTH.get("light"), 1, 5, 9);
        ColourRule rule =
                MarkComparison.of(samples).reader(MarkSchool.ONE_CHANNEL).rule();
        List<Double> levels = rule.cut().orElseThrow().levels();
        assertThat(levels).hasSize(4).isSorted();
        assertThat(levels.get(2)).isEqualTo(levels.get(1));
    }

    @Test
    void rulesThatCannotBeAreRefused() {
        List<String> three = List.of("dark", "mark", "light");
        assertThatThrownBy(() -> new ColourRule.Cut(0, List.of(0.5, 0.4))).hasMessageContaining("levels");
        assertThatThrownBy(() -> new ColourRule.Cut(3, List.of(0.5))).hasMessageContaining("feature");
        assertThatThrownBy(() -> new ColourRule.Cut(1, List.of(Double.NaN))).hasMessageContaining("levels");
        ColourRule.Cut cut = new ColourRule.Cut(1, List.of(0.4));
        assertThatThrownBy(() -> new ColourRule(ColourSpace.SCALED, cut, three)).hasMessageContaining("one fewer");
        List<ColourRule.Known> placed =
                List.of(new ColourRule.Known("dark", List.of(0.0, 0.0, 0.0), List.of()), nowhere("light"));
        assertThatThrownBy(() -> new ColourRule(ColourSpace.SCALED, List.of(), placed, Optional.of(cut)))
                .hasMessageContaining("centre");
        assertThatThrownBy(() -> new ColourRule(ColourSpace.SCALED, List.of(), placed))
                .hasMessageContaining("centre");
        assertThatThrownBy(() -> new ColourRule(
                        ColourSpace.SCALED,
                        List.of(1.0, 0.0, 1.0, 0.0, 0.0, 1.0),
                        List.of(nowhere("dark"), nowhere("light")),
                        Optional.of(cut)))
                .hasMessageContaining("metric");
    }

    private static ColourRule.Known nowhere(String surface) {
        return new ColourRule.Known(surface, List.of(), List.of());
    }

    @Test
    void hueSaturationAndValueOfPlainColours() {
        double[] red = ColourSpace.CYLINDER.features(new double[] {0.8, -0.1, 0});
        assertThat(red).containsExactly(new double[] {1, 0, 0.8}, within(1e-12));
        double[] green = ColourSpace.CONE.features(new double[] {0, 0.6, 0});
        assertThat(green[0]).isCloseTo(0.6 * Math.cos(2 * Math.PI / 3), within(1e-12));
        assertThat(green[1]).isCloseTo(0.6 * Math.sin(2 * Math.PI / 3), within(1e-12));
        assertThat(ColourSpace.CONE.features(new double[] {0.5, 0.5, 0.5}))
                .containsExactly(new double[] {0, 0, 0.5}, within(1e-12));
        assertThat(ColourSpace.SHARES.features(new double[] {0.6, 0.3, 0.3}))
                .containsExactly(new double[] {0.5, 0.25, 0.25}, within(1e-12));
    }

    /** Reads fall anywhere: over a hundred thousand phases the share that finds too few is the formula's. */
    @ParameterizedTest
    @ValueSource(doubles = {4, 5.5, 6.9, 7.2, 9})
    void aMarkIsMissedWhenTheReadsDoNotFit(double lengthMm) {
        MarkTiming timing = new MarkTiming(3, 0.01, 240);
        assertThat(timing.needsMm()).isCloseTo(7.2, within(1e-12));
        double step = 2.4;
        int missed = 0;
        int phases = 100_000;
        for (int i = 0; i < phases; i++) {
            double first = step * (i + 0.5) / phases;
            int reads = 0;
            for (double at = first; at <= lengthMm; at += step) {
                reads++;
            }
            missed += reads < 3 ? 1 : 0;
        }
        assertThat(timing.missed(lengthMm)).isCloseTo(missed / (double) phases, within(1e-4));
        assertThat(timing.fastestMmPerS(7.2)).isCloseTo(240, within(1e-9));
    }

    @Test
    void filesAreRefusedWithLineAndRule() throws Exception {
        assertThat(MarksFile.read(new StringReader("surface;red;green;blue;capture\ndark;1,5;2;3;a\n")))
                .containsExactly(new MarkSample("dark", "a", 1.5, 2, 3));
        assertThatThrownBy(() -> MarksFile.read(new StringReader("surface,red,green\ndark,1,2\n")))
                .hasMessageContaining("'blue' among them");
        assertThatThrownBy(() -> MarksFile.read(new StringReader("surface,red,green,blue\ndark,1,x,3\n")))
                .hasMessageContaining("line 2.green is 'x'; it must be a number");
        assertThatThrownBy(() -> MarksFile.read(new StringReader("surface,red,green,blue\n")))
                .hasMessageContaining("a line a reading");
        assertThatThrownBy(() -> MarkComparison.of(List.of(new MarkSample("dark", "", 1, 2, 3))))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("'light'");
        assertThatThrownBy(() -> MarkComparison.of(
                        List.of(new MarkSample("dark", "", 1, 2, 3), new MarkSample("light", "", 1, 9, 9))))
                .hasMessageContaining("red channel tells nothing apart");
    }
}
