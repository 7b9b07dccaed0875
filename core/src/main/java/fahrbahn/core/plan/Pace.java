package fahrbahn.core.plan;

import fahrbahn.core.trials.Run;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;

/**
 * How long runs and the time between them take, as a log book tells: medians, for a chat with a judge is no reset.
 *
 * @param lapS of completed runs that were timed; empty when none was
 * @param resetS from the end of a run to the start of the next; empty when no two runs followed on each other
 * @param laps how many of the first are known
 * @param resets how many of the second
 */
public record Pace(OptionalDouble lapS, OptionalDouble resetS, int laps, int resets) {
    /** The newest tell how it is now. */
    private static final int NEWEST = 30;

    /** After so long the crew did something else. */
    private static final Duration BREAK = Duration.ofMinutes(10);

    /** @param runs on the table, oldest first */
    public static Pace of(List<Run> runs) {
        List<Run> newest = runs.subList(Math.max(0, runs.size() - NEWEST), runs.size());
        double[] laps = newest.stream()
                .filter(run -> run.outcome().completed())
                .mapToDouble(run -> run.outcome().timeS())
                .filter(Double::isFinite)
                .toArray();
        List<Double> resets = new ArrayList<>();
        for (int i = 1; i < newest.size(); i++) {
            Duration apart =
                    Duration.between(newest.get(i - 1).at(), newest.get(i).at());
            double timeS = newest.get(i).outcome().timeS();
            double resetS = apart.toMillis() / 1000.0 - timeS; // a run is logged when it ends
            if (apart.compareTo(BREAK) < 0 && resetS >= 0) { // never of one that nobody timed: NaN
                resets.add(resetS);
            }
        }
        double[] between = resets.stream().mapToDouble(r -> r).toArray();
        return new Pace(median(laps), median(between), laps.length, between.length);
    }

    private static OptionalDouble median(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        int n = sorted.length;
        return n == 0 ? OptionalDouble.empty() : OptionalDouble.of((sorted[(n - 1) / 2] + sorted[n / 2]) / 2);
    }
}
