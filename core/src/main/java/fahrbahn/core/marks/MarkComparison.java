package fahrbahn.core.marks;

import fahrbahn.core.check.Check;
import fahrbahn.core.colour.ColourReader;
import fahrbahn.core.colour.ColourRule;
import fahrbahn.core.colour.ColourScale;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Every school judged by what it has not learnt from: each reading with itself left out, and, where some surface has several captures, each
 * with its whole capture left out, for readings of one capture are alike. Scaling is kept.
 */
public final class MarkComparison {
    /** Of the light ground, in the mean of the darkest channel: less is another white. */
    private static final double BRIGHTER = 1.1;

    private static final List<MarkSchool> NEAREST = List.of(
            MarkSchool.SCALED_CENTRES, MarkSchool.CONE_CENTRES, MarkSchool.CYLINDER_CENTRES, MarkSchool.COVARIANCE);

    private static final List<MarkSchool> SIMPLEST_FIRST = Stream.concat(
                    Stream.of(MarkSchool.ONE_CHANNEL, MarkSchool.ONE_SUM, MarkSchool.ONE_SHARE, MarkSchool.BOX),
                    NEAREST.stream())
            .toList();

    private final List<MarkSample> samples;
    private final ColourScale scale;
    private final Map<MarkSchool, Confusions> byReading = new EnumMap<>(MarkSchool.class);
    private final Map<MarkSchool, Confusions> byCapture = new EnumMap<>(MarkSchool.class);

    private MarkComparison(List<MarkSample> samples) {
        this.samples = List.copyOf(samples);
        this.scale = new CapturedColours(samples).scale();
        boolean captures = severalCaptures();
        for (MarkSchool school : MarkSchool.values()) {
            Judge judge = new Judge(school);
            byReading.put(school, judge.leavingOutReadings());
            if (captures) {
                byCapture.put(school, judge.leavingOutCaptures());
            }
        }
    }

    /**
     * @param samples with some named dark and some named light among them, of two surfaces or more
     * @throws fahrbahn.core.check.BadValueException naming what is missing
     */
    public static MarkComparison of(List<MarkSample> samples) {
        MarkComparison comparison = new MarkComparison(samples);
        Check.require(samples.size() >= 4, "readings", samples.size(), "4 or more, two of each surface at least");
        return comparison;
    }

    private boolean severalCaptures() {
        Map<String, Set<String>> captures = new LinkedHashMap<>();
        samples.forEach(s -> captures.computeIfAbsent(s.surface(), k -> new LinkedHashSet<>())
                .add(s.capture()));
        return captures.values().stream().anyMatch(c -> c.size() > 1);
    }

    /** Readings of each surface, in the order they first come. */
    public Map<String, Integer> seen() {
        Map<String, Integer> seen = new LinkedHashMap<>();
        samples.forEach(s -> seen.merge(s.surface(), 1, Integer::sum));
        return seen;
    }

    /** How well each channel, and their sum, tells dark from light, the best first. */
    public List<ChannelChoice> channels() {
        return ChannelChoice.of(named(MarkSample.DARK), named(MarkSample.LIGHT));
    }

    private List<MarkSample> named(String surface) {
        return samples.stream().filter(s -> s.surface().equals(surface)).toList();
    }

    public ColourScale scale() {
        return scale;
    }

    /** With each reading left out. */
    public Confusions byReading(MarkSchool school) {
        return byReading.get(school);
    }

    /** With each capture left out; empty where no surface has several. */
    public Optional<Confusions> byCapture(MarkSchool school) {
        return Optional.ofNullable(byCapture.get(school));
    }

    /** The figure that leads: by captures where there are several. */
    public Confusions of(MarkSchool school) {
        return byCapture(school).orElse(byReading(school));
    }

    /**
     * Of the schools that misread no more than the best of the nearest means, that with the fewest misreads that matter, then the fewest in all, then
     * the simplest program. Boxes and levels fit one capture however the light differs from the next: they are not recommended before they have
     * been judged by captures they have not seen.
     */
    public MarkSchool recommended() {
        int fewest = NEAREST.stream().mapToInt(s -> of(s).misreads()).min().orElseThrow();
        List<MarkSchool> judged = byCapture.isEmpty() ? NEAREST : SIMPLEST_FIRST;
        return judged.stream()
                .filter(s -> of(s).misreads() <= fewest)
                .min(Comparator.comparingInt((MarkSchool s) -> of(s).harmful()).thenComparingInt(s -> of(s).misreads()))
                .orElseThrow();
    }

    /** A school that has learnt from all readings, ready to be asked. */
    public Reader reader(MarkSchool school) {
        return new Reader(new Judge(school).whole());
    }

    /** Takes readings for surfaces. */
    public final class Reader {
        private final Learnt learnt;
        private final ColourReader reader;

        private Reader(Learnt learnt) {
            this.learnt = learnt;
            this.reader = new ColourReader(learnt.rule());
        }

        /** For a robot's program. */
        public ColourRule rule() {
            return learnt.rule();
        }

        /** @param rgb in the sensor's own numbers @return a surface, or "none" */
        public String take(double[] rgb) {
            return reader.take(scale.scaled(rgb));
        }

        /**
         * How far from its mean a reading of each surface may lie, in the school's space; for schools that go by the nearest mean, and ground
         * left out. A program that holds to the tolerance takes what lies beyond all of them for nothing.
         */
        public List<Tolerance> tolerances() {
            return learnt.rule().known().stream()
                    .filter(k -> !k.centre().isEmpty()
                            && k.reach().isEmpty()
                            && learnt.rule().metric().isEmpty()
                            && !MarkSample.ground(k.surface()))
                    .map(this::tolerance)
                    .toList();
        }

        private Tolerance tolerance(ColourRule.Known known) {
            double own = 0;
            double others = Double.POSITIVE_INFINITY;
            for (MarkSample sample : samples) {
                double[] at = learnt.rule().space().features(scale.scaled(sample.rgb()));
                double away = 0;
                for (int i = 0; i < at.length; i++) {
                    away += Math.pow(at[i] - known.centre().get(i), 2);
                }
                away = Math.sqrt(away);
                if (sample.surface().equals(known.surface())) {
                    own = Math.max(own, away);
                } else {
                    others = Math.min(others, away);
                }
            }
            return new Tolerance(known.surface(), own, others);
        }

        /** By name, in the order of the samples. */
        public Map<String, Double> constants() {
            Map<String, Double> constants = new LinkedHashMap<>();
            learnt.constants().forEach(c -> constants.put(c.name(), c.value()));
            return constants;
        }
    }

    /**
     * @param ownReach distance of its own furthest reading from its mean
     * @param othersFrom distance of the nearest reading of any other surface
     */
    public record Tolerance(String surface, double ownReach, double othersFrom) {
        /** Whether a tolerance takes all its own readings and none of the others. */
        public boolean parts() {
            return ownReach < othersFrom;
        }

        /** Halfway between its own readings and the others'. */
        public double tolerance() {
            return (ownReach + othersFrom) / 2;
        }
    }

    /** Surfaces that send back more than the lightest ground in every channel, with how much of it: a level in any channel tells them. */
    public Map<String, Double> shiny() {
        Map<String, double[]> least = new LinkedHashMap<>();
        for (MarkSample sample : samples) {
            double[] scaled = scale.scaled(sample.rgb());
            double darkest = Math.min(scaled[0], Math.min(scaled[1], scaled[2]));
            least.merge(sample.surface(), new double[] {darkest, 1}, (a, b) -> new double[] {a[0] + b[0], a[1] + 1});
        }
        Map<String, Double> shiny = new LinkedHashMap<>();
        least.forEach((surface, sum) -> {
            if (sum[0] / sum[1] > BRIGHTER && !MarkSample.ground(surface)) {
                shiny.put(surface, sum[0] / sum[1]);
            }
        });
        return shiny;
    }

    /** One school on these samples. */
    private final class Judge {
        private final MarkSchool school;
        private final List<double[]> points = new ArrayList<>();
        private final Map<String, Moments> all = new LinkedHashMap<>();

        Judge(MarkSchool school) {
            this.school = school;
            for (MarkSample sample : samples) {
                double[] scaled = scale.scaled(sample.rgb());
                double[] point = school.space().features(scaled);
                points.add(scaled);
                all.merge(sample.surface(), Moments.none().with(point), (before, one) -> before.with(point));
            }
        }

        Learnt whole() {
            return school.learn(all);
        }

        Confusions leavingOutReadings() {
            Map<Confusions.Pair, Integer> taken = new LinkedHashMap<>();
            for (int i = 0; i < samples.size(); i++) {
                String surface = samples.get(i).surface();
                double[] scaled = points.get(i);
                Moments others = all.get(surface).without(school.space().features(scaled));
                count(taken, surface, without(surface, others).take(scaled));
            }
            return new Confusions(samples.size(), taken);
        }

        Confusions leavingOutCaptures() {
            record Key(String surface, String capture) {}
            Map<Key, Moments> captures = new LinkedHashMap<>();
            for (int i = 0; i < samples.size(); i++) {
                Key key = new Key(samples.get(i).surface(), samples.get(i).capture());
                captures.put(
                        key,
                        captures.getOrDefault(key, Moments.none())
                                .with(school.space().features(points.get(i))));
            }
            Map<Key, ColourReader> readers = new LinkedHashMap<>();
            captures.forEach((key, part) -> readers.put(
                    key, without(key.surface(), all.get(key.surface()).without(part))));
            Map<Confusions.Pair, Integer> taken = new LinkedHashMap<>();
            for (int i = 0; i < samples.size(); i++) {
                MarkSample sample = samples.get(i);
                Key key = new Key(sample.surface(), sample.capture());
                count(taken, sample.surface(), readers.get(key).take(points.get(i)));
            }
            return new Confusions(samples.size(), taken);
        }

        private ColourReader without(String surface, Moments left) {
            Map<String, Moments> others = new LinkedHashMap<>(all);
            others.put(surface, left);
            return new ColourReader(school.learn(others).rule());
        }

        /** Ground that a school of boxes leaves alone was taken right. */
        private void count(Map<Confusions.Pair, Integer> taken, String was, String as) {
            boolean left = as.equals(ColourRule.NONE) && MarkSample.ground(was);
            if (!was.equals(as) && !left) {
                taken.merge(new Confusions.Pair(was, as), 1, Integer::sum);
            }
        }
    }
}
