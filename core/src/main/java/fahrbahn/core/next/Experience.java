package fahrbahn.core.next;

import fahrbahn.core.belief.Candidate;
import fahrbahn.core.belief.Trial;
import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.core.tuning.race.Goal;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What has come of settings themselves, whatever the twin makes of them: a setting that has failed, and those like it, count for less. So a robot
 * that is like no twin is still told by its own trials.
 */
public final class Experience {
    /** The twin's word counts as so many trials. */
    private static final double TWIN_COUNTS = 2;

    /** Settings that differ by this share are half alike. */
    private static final double NEAR_KP = Math.log(1.25);

    private static final double NEAR_KD = Math.log(1.6);
    private static final double NEAR_SPEED = Math.log(1.1);

    /** A lap so much longer than the best that was timed is no success, whatever it looked like; to one who has to finish it may be longer. */
    private static final double SLOW_LAP = 1.15;

    private static final double SLOW_FINISH = 2;

    private static final double WIGGLED_ROUND = 0.45;
    private static final double WIGGLED_PERHAPS_ROUND = 0.3;
    private static final double MUCH_ALIKE = 0.8;

    private final List<Trial> trials;
    private final double mostLapS;

    public Experience(List<Trial> trials, Goal goal) {
        this.trials = trials.stream().filter(t -> !unclear(t.seen())).toList();
        double bestLapS = trials.stream()
                .filter(t -> t.lapS().isPresent())
                .mapToDouble(t -> t.lapS().getAsDouble())
                .min()
                .orElse(Double.POSITIVE_INFINITY);
        this.mostLapS = (goal == Goal.LAP ? SLOW_LAP : SLOW_FINISH) * bestLapS;
    }

    /** Says nothing of gains. */
    private static boolean unclear(Seen seen) {
        return seen == Seen.TURNS_AWAY || seen == Seen.OTHER || seen == Seen.RIDES_LIGHT || seen == Seen.RIDES_DARK;
    }

    /** @return the chance to get round of a setting after what came of it and those like it */
    public double chance(Candidate setting, double byTheTwin) {
        return share(setting, byTheTwin, true);
    }

    /** @return the same, where a slow lap is none */
    double chanceOfGoodLap(Candidate setting, double byTheTwin) {
        return share(setting, byTheTwin, false);
    }

    private double share(Candidate setting, double byTheTwin, boolean anyLap) {
        double well = TWIN_COUNTS * byTheTwin;
        double all = TWIN_COUNTS;
        for (Trial trial : trials) {
            double went = went(trial, anyLap);
            double alike = alike(asTold(setting, trial, went), trial);
            all += alike;
            well += alike * went;
        }
        return well / all;
    }

    /**
     * What a trial tells of a setting that differs in speed alone: with the same gains, what wiggled or was lost does so faster too, and what was too slow is
     * so slower too.
     */
    private static Candidate asTold(Candidate setting, Trial trial, double went) {
        boolean failed = trial.finish() == Trial.Finish.LOST || trial.seen() == Seen.WIGGLES;
        boolean tooSlow = !failed && went == 0;
        boolean same = failed && setting.baseCommand() > trial.baseCommand()
                || tooSlow && setting.baseCommand() < trial.baseCommand();
        return same ? new Candidate(setting.kp(), setting.kd(), trial.baseCommand()) : setting;
    }

    /** How well it went: 1 for smoothly round, less where it wiggled, least where nobody said whether it came round. */
    private double went(Trial trial, boolean anyLap) {
        if (trial.finish() == Trial.Finish.LOST || !anyLap && trial.lapS().orElse(0) > mostLapS) {
            return 0;
        }
        if (trial.seen() == Seen.SMOOTH) {
            return 1;
        }
        return trial.finish() == Trial.Finish.FINISHED ? WIGGLED_ROUND : WIGGLED_PERHAPS_ROUND;
    }

    /** The trial that went best, if any got round. */
    Optional<Candidate> best() {
        return trials.stream()
                .filter(t -> went(t, false) > 0)
                .max(Comparator.comparingDouble(t -> went(t, false)))
                .map(t -> new Candidate(t.kp(), t.kd(), t.baseCommand()));
    }

    /** Tried twice and more, it or what is much like it, and never seen to run smoothly. */
    public boolean hopeless(Candidate setting) {
        List<Trial> same =
                trials.stream().filter(t -> alike(setting, t) > MUCH_ALIKE).toList();
        return same.size() >= 2 && same.stream().noneMatch(t -> t.seen() == Seen.SMOOTH);
    }

    private static double alike(Candidate setting, Trial trial) {
        return alike(setting, new Candidate(trial.kp(), trial.kd(), trial.baseCommand()));
    }

    static boolean muchAlike(Candidate one, Candidate other) {
        return alike(one, other) > MUCH_ALIKE;
    }

    /** 1 for the same, a half and less for what would be called another. */
    private static double alike(Candidate one, Candidate other) {
        double kp = Math.log(one.kp() / other.kp()) / NEAR_KP;
        double speed = Math.log(one.baseCommand() / other.baseCommand()) / NEAR_SPEED;
        // Damping counts beside Kp: a tenth of Kp and none at all are much the same.
        double kd = Math.log((one.kd() + one.kp()) / (other.kd() + other.kp())) / NEAR_KD;
        return Math.pow(0.5, kp * kp + kd * kd + speed * speed);
    }
}
