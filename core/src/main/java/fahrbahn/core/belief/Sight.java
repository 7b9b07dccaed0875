package fahrbahn.core.belief;

import fahrbahn.core.path.Part;
import fahrbahn.core.path.Path;
import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.core.twin.RunResult;

/** How likely a run would be seen as a coach saw one. */
public final class Sight {
    /** Eyes err, and the twin is not the table: so much of every answer says nothing. */
    private static final double ERRS = 0.06;

    /** A swing of this RMS is seen by anyone, of half of it by some. */
    private static final double SEEN_SWING_MM = 2.5;

    /** Stopwatch over one wiggle, s, beside what the twin may err by. */
    private static final double TAP_S = 0.12;

    private static final double PERIOD_ERRS = 0.12;
    private static final double LAP_ERRS = 0.035;
    private static final double LAP_TAP_S = 0.25;
    private static final double PLACE_SD_MM = 25;

    private Sight() {}

    /** @param run what the twin did at the same setting; null where it cannot be set */
    static double likelihood(Trial trial, RunResult run, Ghosts ghosts) {
        if (run == null) {
            return ERRS / Seen.values().length;
        }
        double seen = (1 - ERRS) * shown(trial.seen(), run, ghosts.path()) + ERRS / Seen.values().length;
        if (trial.saysMoreOfFinish() && trial.finish() != Trial.Finish.of(run.completed())) {
            seen *= ERRS; // no eye errs about that, but another start may end otherwise
        }
        if (trial.wigglePeriodS().isPresent()) {
            seen *= run.ride().wigglePeriodS().isPresent()
                    ? near(
                            trial.wigglePeriodS().getAsDouble(),
                            run.ride().wigglePeriodS().getAsDouble(),
                            PERIOD_ERRS,
                            TAP_S / Math.max(1, trial.wiggles()))
                    : 0.2;
        }
        if (trial.lapS().isPresent()) {
            seen *= run.completed() ? near(trial.lapS().getAsDouble(), ghosts.lapS(run), LAP_ERRS, LAP_TAP_S) : ERRS;
        }
        if (trial.alongMm().isPresent() && run.completed()) {
            double off = (trial.alongMm().getAsDouble() - run.stopAlongMm()) / PLACE_SD_MM;
            seen *= ERRS + (1 - ERRS) * Math.exp(-off * off / 2);
        }
        return seen;
    }

    /** A normal with a floor, by its height. */
    private static double near(double seen, double would, double share, double sd) {
        double off = (seen - would) / Math.hypot(share * would, sd);
        return ERRS + (1 - ERRS) * Math.exp(-off * off / 2);
    }

    /** How much it swings, from nothing to plain to see. */
    private static double swing(RunResult run) {
        if (run.ride().wigglePeriodS().isEmpty()) {
            return 0;
        }
        return Math.max(0, Math.min(1, 2 * run.rmsMm() / SEEN_SWING_MM - 1));
    }

    /** What may be told of a run: that it went smoothly, wiggled to the finish, wiggled and was lost, or was lost. */
    public static final int TOLD = 4;

    /** Chances to be told each of them. */
    public static double[] chances(RunResult run) {
        if (run == null) {
            return new double[] {0, 0, 0, 1};
        }
        double smooth = smooth(run);
        double wiggles = wiggles(run);
        double finishes = run.completed() ? 1 : 0;
        return new double[] {smooth, finishes * wiggles, (1 - finishes) * wiggles, 1 - smooth - wiggles};
    }

    private static double smooth(RunResult run) {
        return run.completed() ? 0.9 - 0.85 * swing(run) : 0.01;
    }

    private static double wiggles(RunResult run) {
        return run.completed() ? 0.06 + 0.84 * swing(run) : 0.08 + 0.4 * swing(run);
    }

    private static double shown(Seen seen, RunResult run, Path path) {
        double swing = swing(run);
        if (seen == Seen.OTHER || seen == Seen.RIDES_LIGHT || seen == Seen.RIDES_DARK) {
            return run.completed() ? 0.1 : 0.05; // says little of gains; RideAside hears where it rides
        }
        if (seen == Seen.TURNS_AWAY) {
            return run.completed() ? 0.002 : run.sMm() < 250 ? 0.3 : 0.01;
        }
        if (seen == Seen.SMOOTH) {
            return smooth(run);
        }
        if (seen == Seen.WIGGLES) {
            return wiggles(run);
        }
        if (run.completed()) {
            return 0.02 + 0.03 * swing;
        }
        return seen == where(path.partAt(run.sMm())) ? 0.75 - 0.3 * swing : 0.1;
    }

    public static boolean lost(Seen seen) {
        return seen == Seen.LOST_STRAIGHT
                || seen == Seen.LOST_BEND
                || seen == Seen.LOST_CORNER
                || seen == Seen.LOST_GAP;
    }

    /** What eyes that do not err would call it. */
    public static Seen seen(RunResult run, Path path) {
        boolean wiggles = swing(run) > 0.5;
        return run.completed()
                ? (wiggles ? Seen.WIGGLES : Seen.SMOOTH)
                : wiggles ? Seen.WIGGLES : where(path.partAt(run.sMm()));
    }

    static Seen where(Part part) {
        if (part instanceof Part.Bend || part instanceof Part.SwingOver) {
            return Seen.LOST_BEND;
        }
        if (part instanceof Part.RightAngle || part instanceof Part.Crossing) {
            return Seen.LOST_CORNER;
        }
        return part instanceof Part.Gap || part instanceof Part.End ? Seen.LOST_GAP : Seen.LOST_STRAIGHT;
    }
}
