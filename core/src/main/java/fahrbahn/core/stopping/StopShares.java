package fahrbahn.core.stopping;

import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.twin.Spread;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * What a rule's scatter comes from, and what is left of it without each cause. Each cause is driven alone, by the twin, with sensing that does
 * not err but for {@link Cause#SEEING}; where the causes are independent their variances add, and what all together scatter beyond their sum is theirs
 * in common.
 *
 * @param all the rules with everything that differs
 * @param alone the rules with one cause at a time
 * @param atHalfSpeed the rules with everything that differs, at half the base command
 */
public record StopShares(StopTrial all, Map<Cause, StopTrial> alone, StopTrial atHalfSpeed) {
    /** A cause's share that is worth a word. */
    private static final double TOLD = 0.05;

    public StopShares {
        alone = Map.copyOf(alone);
    }

    /**
     * One cause of a rule's scatter.
     *
     * @param share of the variance, 0 to 1
     * @param withoutMm standard deviation that is left without it
     */
    public record Part(Cause cause, double share, double withoutMm) {}

    /**
     * @param runs of each trial, 2 or more
     * @param seed the same seed gives the same on any number of threads
     */
    public static StopShares of(
            Setup setup, Sensing sensing, Spread spread, int runs, long seed, Workers workers, Job job) {
        Sensing sure = new Sensing(sensing.wayMm(), 0, 0, 0, 0);
        int trials = Cause.values().length + 2;
        StopTrial all = StopTrial.of(setup, sensing, spread, runs, seed, workers, part(job, 0, trials));
        Setup slow = setup.withLaw(setup.law().withBaseCommand(setup.law().baseCommand() / 2));
        StopTrial atHalfSpeed = StopTrial.of(slow, sensing, spread, runs, seed, workers, part(job, 1, trials));
        Map<Cause, StopTrial> alone = new EnumMap<>(Cause.class);
        for (Cause cause : Cause.values()) {
            Sensing its = cause == Cause.SEEING ? sensing : sure;
            Job its2 = part(job, 2 + cause.ordinal(), trials);
            alone.put(cause, StopTrial.of(setup, its, cause.alone(spread), runs, seed, workers, its2));
        }
        return new StopShares(all, alone, atHalfSpeed);
    }

    private static Job part(Job job, int trial, int trials) {
        return new Job() {
            @Override
            public boolean cancelled() {
                return job.cancelled();
            }

            @Override
            public void progress(int done, int of) {
                job.progress(trial * of + done, trials * of);
            }
        };
    }

    /** The causes of a rule's scatter that are worth a word, the largest first. */
    public List<Part> of(Rule rule) {
        double sum = 0;
        for (Cause cause : Cause.values()) {
            sum += variance(cause, rule);
        }
        double total = Math.max(sum, all.scatterMm(rule) * all.scatterMm(rule));
        List<Part> parts = new ArrayList<>();
        for (Cause cause : Cause.values()) {
            double its = variance(cause, rule);
            if (total > 0 && its >= TOLD * total) {
                double left = Math.max(0, all.scatterMm(rule) * all.scatterMm(rule) - its);
                parts.add(new Part(cause, its / total, Math.sqrt(left)));
            }
        }
        parts.sort(Comparator.comparingDouble(Part::share).reversed());
        return List.copyOf(parts);
    }

    /** By one cause alone, mm^2. */
    double variance(Cause cause, Rule rule) {
        double sd = alone.get(cause).scatterMm(rule);
        return sd * sd;
    }
}
