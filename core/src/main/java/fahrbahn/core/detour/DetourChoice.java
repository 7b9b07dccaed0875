package fahrbahn.core.detour;

import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.twin.Spread;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * One approach with each angle it could turn by.
 *
 * @param approach how the obstacle is found
 * @param trials of which an arc keeps clear, by rising angle; one when the angle was given; none when the robot stands too near for any
 */
public record DetourChoice(Approach approach, List<DetourTrial> trials) {
    /** From an arc that hardly turns in to one that meets the line across, in degrees. */
    private static final List<Integer> TURNS = List.of(40, 50, 60, 70, 80, 90);

    public DetourChoice {
        trials = List.copyOf(trials);
    }

    /** The one to drive: that with the best chance; of equal ones that with the smallest arc. */
    public Optional<DetourTrial> best() {
        return trials.stream()
                .max(Comparator.comparingDouble((DetourTrial t) -> t.kept().completed())
                        .thenComparing(t -> -t.radiusMm()));
    }

    /**
     * @param runs of each angle, 2 or more
     * @param seed the same seed gives the same on any number of threads; all angles see the same runs
     */
    public static DetourChoice of(
            Setup setup, Task task, Approach approach, Spread spread, int runs, long seed, Workers workers, Job job) {
        List<Double> turns = task.turnRad()
                .map(List::of)
                .orElseGet(() -> TURNS.stream()
                        .map(d -> Math.min(Math.PI / 2, Math.toRadians(d)))
                        .toList());
        List<DetourTrial> trials = new ArrayList<>();
        for (double turn : turns) {
            DetourTrial trial = DetourTrial.of(setup, task, approach, turn, spread, runs, seed, workers, job);
            if (trial.runs() > 0) {
                trials.add(trial);
            }
        }
        return new DetourChoice(approach, trials);
    }
}
