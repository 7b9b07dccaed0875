package fahrbahn.app.gains.next;

import fahrbahn.core.belief.Belief;
import fahrbahn.core.belief.Trial;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.measuring.Measured;
import fahrbahn.core.next.NextTrial;
import fahrbahn.core.next.NextWords;
import fahrbahn.core.setup.Setup;
import fahrbahn.words.RunWords;
import fahrbahn.words.Words;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** The next trial in sentences. */
final class NextTrialWords {
    static final String NO_TABLE = "The selected table is not ready: see Table (2).";
    static final String NOT_YET = "Still working out the next trial: press it again in a moment.";
    static final String THINKING = "Simulating a few hundred robots that could be yours.";
    static final String BY_TRIALS = "by trials on the table";
    static final String CAUTION =
            "Fingers and hair off the wheels, a hand at the table's edge: new gains can surprise.";

    /** The latest of them; the picture and the log book have all. */
    private static final int SHOWN = 4;

    private NextTrialWords() {}

    static String reason(NextModel.Answer answer, boolean practising) {
        NextTrial next = answer.next();
        String how = practising
                ? next.next().isPresent() ? " V: the practice robot drives it." : " Y: show its numbers."
                : next.next().isPresent() && next.suspect().isEmpty()
                        ? " U: use it. Run once, then press what you saw."
                        : "";
        return NextWords.reason(next) + how;
    }

    static String trial(int number, Trial trial) {
        return number + ". Kp " + Words.number(trial.kp(), 3) + ", Kd " + Words.number(trial.kd(), 3) + " at "
                + Words.number(trial.baseCommand(), 3) + ": " + RunWords.seen(trial.seen())
                + (trial.wigglePeriodS().isPresent()
                        ? ", one wiggle every "
                                + Words.hundredths(trial.wigglePeriodS().getAsDouble()) + " s"
                        : "")
                + (trial.lapS().isPresent()
                        ? ", " + Words.hundredths(trial.lapS().getAsDouble()) + " s"
                        : "");
    }

    /** A range now, and what it was before anything was seen. */
    static String range(Belief.Range now, Belief.Range first, double unit, String name) {
        String text = range(now, unit) + name;
        return now.equals(first) ? text : text + "  (at first " + range(first, unit) + ")";
    }

    private static String range(Belief.Range range, double unit) {
        return Words.number(range.low() * unit, 2) + " to " + Words.number(range.high() * unit, 2);
    }

    /** What trials have told, and that it can be kept; empty when that is nothing new. */
    static String learnt(Map<Constant, Measured> learnt) {
        if (learnt.isEmpty()) {
            return "";
        }
        String all = learnt.entrySet().stream()
                .map(e -> e.getKey().word() + " " + quantity(e.getKey(), e.getValue()))
                .collect(Collectors.joining(", "));
        return "Trials suggest: " + all + ". M: use this on the robot and restart.";
    }

    private static String quantity(Constant constant, Measured measured) {
        double unit = constant == Constant.LAG ? 1000 : 1;
        String name = constant == Constant.LAG ? " ms" : constant == Constant.FREE_SPEED ? " mm/s" : " mm";
        return Words.number(measured.value() * unit, 3) + " \u00b1 " + Words.number(measured.standardError() * unit, 2)
                + name;
    }

    /** What to do with the hidden robot now, and how the eye did. */
    static String practice(Practice.HiddenRobot robot) {
        if (robot.revealed()) {
            return secrets(robot);
        }
        if (robot.driven().isPresent()) {
            return "It has run: press what you see above.";
        }
        String eye = robot.told()
                .map(t -> t.was() == t.called()
                        ? "Right: " + RunWords.seen(t.was()) + ". "
                        : "You said " + RunWords.seen(t.called()) + "; it was: " + RunWords.seen(t.was()) + ". ")
                .orElse("Like yours, but not quite. ");
        return eye + "V: drive. Y: show its numbers.";
    }

    private static String secrets(Practice.HiddenRobot robot) {
        Setup is = robot.table().hidden();
        Setup believed = robot.believed();
        double slope = believed.lawSensors().get(0).spotSigmaMm()
                / is.lawSensors().get(0).spotSigmaMm();
        return "Its numbers: motor lag " + milli(is.robot().drive().lagS()) + " ms, yours "
                + milli(believed.robot().drive().lagS()) + ", reading delay "
                + milli(is.robot().loop().delayS())
                + " ms, yours " + milli(believed.robot().loop().delayS()) + ", "
                + Words.number(is.robot().drive().freeSpeedMmPerS(), 3) + " mm/s at max power, yours "
                + Words.number(believed.robot().drive().freeSpeedMmPerS(), 3) + ", sensor slope "
                + Words.number(slope, 2) + " x yours.";
    }

    private static String milli(double seconds) {
        return Words.number(1000 * seconds, 2);
    }

    static String ladder(List<Trial> trials) {
        if (trials.isEmpty()) {
            return "No trial yet.";
        }
        StringBuilder all = new StringBuilder();
        int oldest = Math.max(0, trials.size() - SHOWN);
        for (int i = trials.size() - 1; i >= oldest; i--) {
            all.append(trial(i + 1, trials.get(i))).append(i > oldest ? "\n" : "");
        }
        return all.toString();
    }
}
