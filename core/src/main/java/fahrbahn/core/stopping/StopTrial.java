package fahrbahn.core.stopping;

import fahrbahn.core.check.Check;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trials.Completion;
import fahrbahn.core.trials.Sample;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Trace;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;

/**
 * Every stopping rule on the same runs of the twin.
 *
 * @param places of each rule, where runs came to rest along the line, mm from the place at which the program was sure; of the runs that
 *     decided
 * @param runs that kept the line so far
 */
public record StopTrial(Map<Rule, Sample> places, int runs) {
    /** Room behind the place, in ways of a second at full speed: the longest a rule may be late. */
    private static final double SPARE_S = 1.5;

    public StopTrial {
        places = Map.copyOf(places);
    }

    /** Standard deviation of a rule's stop places, mm. */
    public double scatterMm(Rule rule) {
        return places.get(rule).sd();
    }

    /** The chance to stop within a window to each side of the mean place; runs that never decided are outside. */
    public Completion within(Rule rule, double windowMm) {
        Sample its = places.get(rule);
        double mean = its.mean();
        long inside = Arrays.stream(its.values())
                .filter(place -> Math.abs(place - mean) <= windowMm)
                .count();
        return Completion.of((int) inside, runs);
    }

    /** Driving back the same distance scatters as much again, by itself: both add in squares. */
    public double thereAndBackMm(Rule rule) {
        return Math.sqrt(2) * scatterMm(rule);
    }

    /**
     * Drives them along a straight line.
     *
     * @param runs 2 or more
     * @param seed the same seed gives the same runs on any number of threads
     */
    public static StopTrial of(
            Setup setup, Sensing sensing, Spread spread, int runs, long seed, Workers workers, Job job) {
        Check.require(runs >= 2, "runs", runs, "2 or more");
        double spareMm = SPARE_S * setup.robot().drive().freeSpeedMmPerS();
        Track track = Track.straight(sensing.wayMm() + spareMm, setup);
        double[][] places = new double[runs][];
        workers.run(runs, i -> places[i] = oneRun(track, sensing, spread.draw(0, seed, i)), job);
        Map<Rule, Sample> byRule = new EnumMap<>(Rule.class);
        for (Rule rule : Rule.values()) {
            byRule.put(
                    rule,
                    Sample.of(Arrays.stream(places)
                            .mapToDouble(run -> run[rule.ordinal()])
                            .filter(Double::isFinite)
                            .toArray()));
        }
        return new StopTrial(byRule, runs);
    }

    private static double[] oneRun(Track track, Sensing sensing, Start start) {
        Trace trace = new Trace();
        Twin.run(track, start, trace);
        Decisions decisions = new Decisions(track.setup(), sensing, start, trace);
        double[] places = new double[Rule.values().length];
        for (Rule rule : Rule.values()) {
            places[rule.ordinal()] = decisions.placeMm(rule);
        }
        return places;
    }

    /** What the rules make of one run. */
    private static final class Decisions {
        private final Setup setup;
        private final Sensing sensing;
        private final Trace trace;
        private final double slipShare;
        private final double halfSpanMm;
        private final SplittableRandom random;

        Decisions(Setup setup, Sensing sensing, Start start, Trace trace) {
            this.setup = setup;
            this.sensing = sensing;
            this.trace = trace;
            this.slipShare = start.variation().slipShare();
            this.random = new SplittableRandom(start.seed() + 1);
            List<Double> left = new ArrayList<>();
            for (Sensor sensor : setup.lawSensors()) {
                left.add(sensor.leftMm());
            }
            this.halfSpanMm = (left.stream().mapToDouble(l -> l).max().orElse(0)
                            - left.stream().mapToDouble(l -> l).min().orElse(0))
                    / 2;
        }

        /** Where it comes to rest; NaN when it never decided. */
        double placeMm(Rule rule) {
            double first = random.nextGaussian();
            double second = random.nextGaussian();
            for (int i = 0; i < trace.size(); i++) {
                if (decides(rule, i, first, second)) {
                    double v = (trace.leftMmPerS(i) + trace.rightMmPerS(i)) / 2;
                    double restS = setup.robot().loop().delayS()
                            + setup.robot().drive().lagS();
                    return gone(i) + v * restS;
                }
            }
            return Double.NaN;
        }

        private double gone(int tick) {
            return trace.xMm(tick) - trace.xMm(0);
        }

        private boolean decides(Rule rule, int tick, double first, double second) {
            double way = sensing.wayMm();
            return switch (rule) {
                case TIMER -> trace.tS(tick) >= way / setup.speedMmPerS();
                case WHEEL_TURNS -> counted(gone(tick) / (1 - slipShare)) >= way;
                case MARK -> gone(tick) >= way + sensing.markNoiseMm() * first;
                case BOTH_DARK -> {
                    double late = halfSpanMm * Math.abs(Math.tan(trace.headingRad(tick)));
                    yield gone(tick) >= way + late + sensing.markNoiseMm() * Math.max(first, second);
                }
                case DISTANCE ->
                    random.nextDouble() >= sensing.missShare()
                            && gone(tick) + sensing.distanceNoiseMm() * random.nextGaussian() >= way;
            };
        }

        private double counted(double turnedMm) {
            return sensing.wheelStepMm() == 0
                    ? turnedMm
                    : Math.floor(turnedMm / sensing.wheelStepMm()) * sensing.wheelStepMm();
        }
    }
}
