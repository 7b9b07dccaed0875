package fahrbahn.core.next;

import fahrbahn.core.belief.Belief;
import fahrbahn.core.belief.Candidate;
import fahrbahn.core.check.Rounding;
import fahrbahn.core.check.Text;

/** The reason for the next trial in one sentence, shared by the command and the window. */
public final class NextWords {
    private static final int DIGITS = 3;

    private static final String NO_TARGET =
            "It drifts to one side: capture light and dark again, and check that both wheels run alike. ";

    private NextWords() {}

    public static String reason(NextTrial trial) {
        String chance = Text.of(
                "finishes in %.0f to %.0f %% of runs",
                100 * trial.chance().low(), 100 * trial.chance().high());
        return aside(trial)
                + switch (trial.why()) {
                    case WRONG_WAY -> suspect(trial.suspect().orElseThrow());
                    case CONTRADICTS ->
                        "What was seen last fits no robot that there may be after the trials before it: try the same once more, and look again.";
                    case NO_TIME -> setting(trial.best()) + " " + chance + " with what is known: take it.";
                    case DONE ->
                        setting(trial.best()) + " ran and " + chance + "; one more trial would not change the choice.";
                    case PROMISES_MOST -> promise(trial);
                };
    }

    /** A robot that rides beside its edge asks for another target, not for other gains. */
    private static String aside(NextTrial trial) {
        if (trial.aside().target().isEmpty()) {
            return trial.aside().untold() ? NO_TARGET : "";
        }
        double mm = trial.aside().lightMm();
        return Text.of("It rides some %.1f mm too far towards ", Math.abs(mm)) + (mm > 0 ? "light" : "dark")
                + ": set the target to " + plain(trial.aside().target().getAsDouble()) + ". ";
    }

    private static String promise(NextTrial trial) {
        Candidate next = trial.next().orElseThrow();
        String all = setting(next) + ": " + trial.promise().completed() + " of "
                + trial.promise().runs() + " simulated runs on this course finish, with what is known of it ("
                + lag(trial.belief()) + ")";
        return next.equals(trial.best())
                ? all + "."
                : all + ". It tells more, or is better where it does, than the surest, " + setting(trial.best()) + ".";
    }

    private static String setting(Candidate c) {
        return "Kp " + plain(c.kp()) + ", Kd " + plain(c.kd()) + " at power " + plain(c.baseCommand());
    }

    private static String plain(double value) {
        return Text.number(Rounding.significant(value, DIGITS));
    }

    private static String lag(Belief belief) {
        return Text.of(
                "motor lag %.0f to %.0f ms, %.0f to %.0f mm/s at max motor value",
                1000 * belief.lagS().low(),
                1000 * belief.lagS().high(),
                belief.freeSpeedMmPerS().low(),
                belief.freeSpeedMmPerS().high());
    }

    private static String suspect(NextTrial.Suspect suspect) {
        return switch (suspect) {
            case SIGN ->
                "It turns away at once: the steering's sign looks wrong. Turn it round, hold the robot over the line by hand, then try the same again.";
            case SWAPPED ->
                "It turns away at once: the two sensors look changed over. Change them over, hold the robot over the line by hand, then try the same again.";
            case EDGE ->
                "It turns away at once: it looks set on the other edge of the line. Put it on the other edge, or turn the steering round, then try the same again.";
        };
    }
}
