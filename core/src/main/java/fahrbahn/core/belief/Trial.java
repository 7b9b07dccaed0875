package fahrbahn.core.belief;

import fahrbahn.core.check.Check;
import fahrbahn.core.setup.Law;
import fahrbahn.core.trials.Outcome;
import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.core.trials.Run;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One try at the table.
 *
 * @param kp per loop
 * @param kd per loop
 * @param wigglePeriodS counted wiggles by the stopwatch; empty when nobody counted
 * @param wiggles how many were counted; 0 when nobody did
 * @param lapS by the stopwatch
 * @param alongMm where it stopped, beyond the finish
 * @param target of its law then, scale units; empty when it was the setup's
 */
public record Trial(
        double kp,
        double kd,
        double baseCommand,
        Seen seen,
        OptionalDouble wigglePeriodS,
        int wiggles,
        OptionalDouble lapS,
        OptionalDouble alongMm,
        OptionalDouble target) {
    public Trial {
        Check.notNegative("kp", kp);
        Check.notNegative("kd", kd);
        Check.positive("baseCommand", baseCommand);
        wigglePeriodS.ifPresent(p -> Check.positive("wigglesS", p));
        lapS.ifPresent(t -> Check.positive("lapS", t));
    }

    /** A run of the log book; empty when nobody said what was seen. */
    public static Optional<Trial> of(Run run) {
        Outcome outcome = run.outcome();
        Law law = run.setting().setup().law();
        if (outcome.seen().isEmpty() || law.kp() <= 0) {
            return Optional.empty();
        }
        double along = outcome.stop().alongMm();
        return Optional.of(new Trial(
                law.kp(),
                law.kd(),
                law.baseCommand(),
                outcome.seen().get(),
                outcome.wiggles().map(w -> OptionalDouble.of(w.periodS())).orElse(OptionalDouble.empty()),
                outcome.wiggles().map(Outcome.Wiggles::count).orElse(0),
                Double.isNaN(outcome.timeS()) ? OptionalDouble.empty() : OptionalDouble.of(outcome.timeS()),
                Double.isNaN(along) ? OptionalDouble.empty() : OptionalDouble.of(along),
                OptionalDouble.of(law.target())));
    }

    /** Nothing counted or timed. */
    public static Trial of(double kp, double kd, double baseCommand, Seen seen) {
        return new Trial(
                kp,
                kd,
                baseCommand,
                seen,
                OptionalDouble.empty(),
                0,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    /** Without what was counted, timed or measured. */
    Trial seenOnly() {
        return of(kp, kd, baseCommand, seen);
    }

    boolean at(double otherKp, double otherKd, double otherBase) {
        return near(kp, otherKp) && near(kd, otherKd) && near(baseCommand, otherBase);
    }

    private static boolean near(double a, double b) {
        return Math.abs(a - b) <= 0.02 * Math.max(Math.abs(a), Math.abs(b));
    }
}
