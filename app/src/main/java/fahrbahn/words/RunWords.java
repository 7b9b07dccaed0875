package fahrbahn.words;

import fahrbahn.core.setup.Law;
import fahrbahn.core.trials.Outcome;
import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.core.trials.Run;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** A run of the log book in words. */
public final class RunWords {
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH).withZone(ZoneId.systemDefault());

    private RunWords() {}

    public static String seen(Seen seen) {
        return switch (seen) {
            case SMOOTH -> "smooth";
            case WIGGLES -> "wiggles";
            case LOST_STRAIGHT -> "lost: straight";
            case LOST_BEND -> "lost: bend";
            case LOST_CORNER -> "lost: corner";
            case LOST_GAP -> "lost: gap";
            case RIDES_LIGHT -> "drifts to light";
            case RIDES_DARK -> "drifts to dark";
            case TURNS_AWAY -> "turns away";
            case OTHER -> "other";
        };
    }

    public static String when(Run run) {
        return TIME.format(run.at());
    }

    public static String who(Run run) {
        return run.source() == Run.Source.TWIN ? "twin" : "robot";
    }

    public static String outcome(Run run) {
        return run.outcome().completed() ? "finished" : "lost";
    }

    /** Nothing where nobody measured. */
    public static String measured(double value) {
        return Double.isNaN(value) ? "" : Words.number(value);
    }

    /** Where it stopped or was lost; of the twin how near it kept to its path. */
    public static String place(Run run) {
        Outcome outcome = run.outcome();
        if (!Double.isNaN(outcome.lostMm())) {
            return "lost at " + Words.number(outcome.lostMm() / 1000) + " m";
        }
        double along = outcome.stop().alongMm();
        double across = outcome.stop().acrossMm();
        if (!Double.isNaN(along) || !Double.isNaN(across)) {
            return "stop " + measured(along) + " / " + measured(across);
        }
        return Double.isNaN(outcome.rmsMm()) ? "" : "RMS " + measured(outcome.rmsMm());
    }

    /** Gains and speed, as a setting is called. */
    public static String setting(Law law) {
        return "Kp " + Words.number(law.kp()) + ", Kd " + Words.number(law.kd())
                + (law.ki() == 0 ? "" : ", Ki " + Words.number(law.ki()))
                + " at " + Words.number(law.baseCommand());
    }

    public static String setting(Run run) {
        return setting(run.setting().setup().law());
    }
}
