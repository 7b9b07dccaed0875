package fahrbahn.core.stopping;

import fahrbahn.core.check.Check;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.statistics.Completion;
import fahrbahn.core.statistics.Sample;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;

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

    /**
     * Drives them along a straight line.
     *
     * @param runs 2 or more
     * @param seed the same seed gives the same runs on any number of threads
     */
    public static StopTrial of(
            Setup setup, Sensing sensing, Spread spread, int runs, long seed, Workers workers, Job job) {
        Check.require(runs >= 2, "runs", runs, "2 or more");
        Track track = Track.straight(lengthMm(setup, sensing), setup);
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

    /** Of a straight line on which every rule decides. */
    static double lengthMm(Setup setup, Sensing sensing) {
        return sensing.wayMm() + SPARE_S * setup.robot().drive().freeSpeedMmPerS();
    }

    private static double[] oneRun(Track track, Sensing sensing, Start start) {
        Trace trace = new Trace();
        Twin.run(track, start, trace);
        Decisions decisions = new Decisions(track, sensing, start, trace);
        double[] places = new double[Rule.values().length];
        for (Rule rule : Rule.values()) {
            places[rule.ordinal()] = decisions.placeMm(rule);
        }
        return places;
    }
}
