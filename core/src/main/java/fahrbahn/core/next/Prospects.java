package fahrbahn.core.next;

import fahrbahn.core.belief.Candidate;
import fahrbahn.core.belief.Sight;
import fahrbahn.core.tuning.race.Goal;
import fahrbahn.core.twin.RunResult;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * What settings do with robots drawn from the belief, each robot started once or twice: what each is worth for a goal, and what one more trial of it would
 * tell. Expected value of one more trial by its definition: over what might be seen, what the best choice after it is worth, less what the best
 * is worth now (Raiffa and Schlaifer, Applied Statistical Decision Theory, 1961, ch. 4), the robots standing for the belief.
 */
final class Prospects {
    private static final int SIGHTS = Sight.TOLD;

    /**
     * A lap up to this much longer than the robot's best is as good, and one beyond the second is worth nothing: where it is small, a setting that
     * nearly loses the line is preferred to one a little slower (with 1.25, five of eighty robots never got there; with 1.5, none of sixty).
     */
    private static final double GOOD_LAP = 1.08;

    private static final double POOR_LAP = 1.5;

    /** The same to one who has to finish: two thirds of the fastest speed are fast enough, as with {@code CourseAdvisor}. */
    private static final double GOOD_FINISH = 1.6;

    private static final double POOR_FINISH = 2.5;

    /** Stop places of two starts so far apart are half as good, mm. */
    private static final double PLACE_MM = 10;

    /** What getting round alone is worth, whatever the lap, to one who has to finish. */
    private static final double FINISHED_WORTH = 0.35;

    /** Beside the path by this share of the usable band, a robot is on its way off the line. */
    private static final double CALM_WORTH = 0.08;

    private final List<Candidate> settings;
    private final double[][] worth;
    private final double[][] likely;
    private final double[] finished;

    /** @param runs by setting, robot and start; null where the setting is none that the robot can take */
    Prospects(List<Candidate> settings, RunResult[][][] runs, Goal goal, Experience experience) {
        this.settings = settings;
        int robots = runs.length == 0 ? 0 : runs[0].length;
        double[] bestLapS = new double[robots];
        Arrays.fill(bestLapS, Double.POSITIVE_INFINITY);
        for (RunResult[][] row : runs) {
            for (int i = 0; i < robots; i++) {
                bestLapS[i] = allFinished(row[i]) ? Math.min(bestLapS[i], lapS(row[i])) : bestLapS[i];
            }
        }
        worth = new double[runs.length][robots];
        likely = new double[runs.length][robots * SIGHTS];
        finished = new double[runs.length];
        for (int c = 0; c < runs.length; c++) {
            for (int i = 0; i < robots; i++) {
                worth[c][i] = worth(runs[c][i], bestLapS[i], goal);
                finished[c] += finished(runs[c][i]) / (double) (runs[c][i].length * robots);
                sights(runs[c][i], likely[c], i * SIGHTS);
            }
            double known =
                    finished[c] == 0 ? 1 : experience.chanceOfGoodLap(settings.get(c), finished[c]) / finished[c];
            finished[c] = experience.chance(settings.get(c), finished[c]);
            for (int i = 0; i < robots; i++) {
                worth[c][i] *= known;
            }
        }
    }

    private static int finished(RunResult[] starts) {
        int finished = 0;
        for (RunResult run : starts) {
            finished += run != null && run.completed() ? 1 : 0;
        }
        return finished;
    }

    private static boolean allFinished(RunResult[] starts) {
        return finished(starts) == starts.length;
    }

    private static double lapS(RunResult[] starts) {
        double sum = 0;
        for (RunResult run : starts) {
            sum += run.timeS();
        }
        return sum / starts.length;
    }

    private static double worth(RunResult[] starts, double bestLapS, Goal goal) {
        if (!allFinished(starts)) {
            return 0;
        }
        double good = goal == Goal.LAP ? GOOD_LAP : GOOD_FINISH;
        double poor = goal == Goal.LAP ? POOR_LAP : POOR_FINISH;
        double lap = Math.min(1, Math.max(0, (poor - lapS(starts) / bestLapS) / (poor - good)));
        double calm = 1 - CALM_WORTH * (1 - Math.max(0, starts[0].ride().bandLeftShare()));
        return calm
                * switch (goal) {
                    case LAP -> lap;
                    case FINISH -> FINISHED_WORTH + (1 - FINISHED_WORTH) * lap;
                    case PLACE -> {
                        double apartMm = Math.abs(starts[0].stopAlongMm() - starts[starts.length - 1].stopAlongMm());
                        yield FINISHED_WORTH + (1 - FINISHED_WORTH) * PLACE_MM / (PLACE_MM + apartMm);
                    }
                };
    }

    private static void sights(RunResult[] starts, double[] into, int at) {
        for (RunResult run : starts) {
            double[] seen = Sight.chances(run);
            for (int k = 0; k < SIGHTS; k++) {
                into[at + k] += seen[k] / starts.length;
            }
        }
    }

    List<Candidate> settings() {
        return settings;
    }

    /** What a setting is worth over the robots, 0 to 1. */
    double worth(int c) {
        return Arrays.stream(worth[c]).average().orElse(0);
    }

    /** Chance to get round, over the robots and what came of the setting itself. */
    double finishes(int c) {
        return finished[c];
    }

    /** The setting that is worth most. */
    int best() {
        int best = 0;
        for (int c = 1; c < settings.size(); c++) {
            best = worth(c) > worth(best) ? c : best;
        }
        return best;
    }

    /** So many that are worth most, none of them much like another. */
    List<Candidate> best(int count) {
        List<Integer> order = new ArrayList<>();
        for (int c = 0; c < settings.size(); c++) {
            order.add(c);
        }
        order.sort(java.util.Comparator.comparingDouble(c -> -worth(c)));
        List<Candidate> best = new ArrayList<>();
        for (int c : order) {
            Candidate setting = settings.get(c);
            if (best.size() < count && best.stream().noneMatch(b -> Experience.muchAlike(setting, b))) {
                best.add(setting);
            }
        }
        return best;
    }

    /** What the best choice is expected to be worth after a trial of this setting. */
    double after(int c) {
        double sum = 0;
        for (int seen = 0; seen < SIGHTS; seen++) {
            double most = 0;
            for (double[] other : worth) {
                most = Math.max(most, jointly(c, seen, other, false));
            }
            sum += most;
        }
        return sum;
    }

    /** What this setting and, where it fails, the best choice after it are worth together: two trials. */
    double withinTwo(int c) {
        double sum = worth(c);
        for (int seen = 0; seen < SIGHTS; seen++) {
            double most = 0;
            for (double[] other : worth) {
                most = Math.max(most, jointly(c, seen, other, true));
            }
            sum += most;
        }
        return sum;
    }

    private double jointly(int c, int seen, double[] other, boolean onlyWhereItFails) {
        double sum = 0;
        for (int i = 0; i < other.length; i++) {
            double fails = onlyWhereItFails ? 1 - worth[c][i] : 1;
            sum += likely[c][i * SIGHTS + seen] * fails * other[i];
        }
        return sum / other.length;
    }
}
