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
 * @param finish whether it came to the finish; a robot that wiggles may have
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
        Finish finish,
        OptionalDouble wigglePeriodS,
        int wiggles,
        OptionalDouble lapS,
        OptionalDouble alongMm,
        OptionalDouble target) {
    /** Whether a run came to its finish, as far as anybody said. */
    public enum Finish {
        FINISHED,
        LOST,
        NOT_SAID;

        public static Finish of(boolean completed) {
            return completed ? FINISHED : LOST;
        }
    }

    public Trial {
        finish = finish == Finish.NOT_SAID ? implied(seen, lapS) : finish;
        Check.notNegative("kp", kp);
        Check.notNegative("kd", kd);
        Check.positive("baseCommand", baseCommand);
        wigglePeriodS.ifPresent(p -> Check.positive("wigglesS", p));
        lapS.ifPresent(t -> Check.positive("lapS", t));
    }

    /** What was seen says it, or a lap that was timed; for a wiggle alone it stays open. */
    private static Finish implied(Seen seen, OptionalDouble lapS) {
        if (Sight.lost(seen) || seen == Seen.TURNS_AWAY) {
            return Finish.LOST;
        }
        return seen == Seen.SMOOTH || lapS.isPresent() ? Finish.FINISHED : Finish.NOT_SAID;
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
                Finish.of(outcome.completed()),
                outcome.wiggles().map(w -> OptionalDouble.of(w.periodS())).orElse(OptionalDouble.empty()),
                outcome.wiggles().map(Outcome.Wiggles::count).orElse(0),
                Double.isNaN(outcome.timeS()) ? OptionalDouble.empty() : OptionalDouble.of(outcome.timeS()),
                Double.isNaN(along) ? OptionalDouble.empty() : OptionalDouble.of(along),
                OptionalDouble.of(law.target())));
    }

    /** Nothing counted or timed. */
    public static Trial of(double kp, double kd, double baseCommand, Seen seen) {
        return of(kp, kd, baseCommand, seen, Finish.NOT_SAID);
    }

    /** Nothing counted or timed. */
    public static Trial of(double kp, double kd, double baseCommand, Seen seen, Finish finish) {
        return new Trial(
                kp,
                kd,
                baseCommand,
                seen,
                finish,
                OptionalDouble.empty(),
                0,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    /** Without what was counted, timed or measured. */
    Trial seenOnly() {
        return of(kp, kd, baseCommand, seen, finish);
    }

    /** Whether it was said beside what was seen, and is not the same. */
    boolean saysMoreOfFinish() {
        return finish != Finish.NOT_SAID && finish != implied(seen, OptionalDouble.empty());
    }

    public boolean at(double otherKp, double otherKd, double otherBase) {
        return near(kp, otherKp) && near(kd, otherKd) && near(baseCommand, otherBase);
    }

    private static boolean near(double a, double b) {
        return Math.abs(a - b) <= 0.02 * Math.max(Math.abs(a), Math.abs(b));
    }
}
