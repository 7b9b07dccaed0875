package fahrbahn.app.runs.plan;

import fahrbahn.app.runs.plan.PlanModel.OnItsWay;
import fahrbahn.core.plan.Block;
import fahrbahn.core.plan.Plan;
import fahrbahn.core.plan.Schedule;
import fahrbahn.words.Words;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** A plan of trials in words. */
final class PlanWords {
    static final String NONE = "Runs take turns in random order on every table: a fair comparison.";

    static final String CAUTION =
            "Fingers and hair off the wheels, a hand at the table's edge. Charge LiPos where you can see them, in a fireproof"
                    + " bag; never charge a swollen pack. The venue's rules come first.";

    private static final int MOST_LEFT_OUT = 4;

    private static final DateTimeFormatter CLOCK =
            DateTimeFormatter.ofPattern("HH:mm:ss", Locale.ENGLISH).withZone(ZoneId.systemDefault());

    private PlanWords() {}

    static final String TABLES = "tables";

    static final String WHAT_TABLES =
            "How many tables like the selected one, or their names separated by commas; empty: the selected one.";

    static String name(PlanItem item) {
        return switch (item) {
            case MINUTES -> "minutes";
            case RUNS_EACH -> "runs each";
            case LAP -> "lap, s";
            case RESET -> "reset, s";
            case CHECK -> "check, s";
            case BATTERY_RUNS -> "runs a battery";
            case SWAP -> "swap, s";
            case LAMPS -> "lamps at, min";
        };
    }

    static String what(PlanItem item) {
        return switch (item) {
            case MINUTES -> "Minutes from now.";
            case RUNS_EACH -> "Runs of each setting compared or confirmed.";
            case LAP -> "How long a run takes; empty: from the log book.";
            case RESET -> "From the end of a run to the next start; empty: from the log book.";
            case CHECK -> "For the steering check and one slow run before each robot's first run; 0 for none.";
            case BATTERY_RUNS -> "How many runs a battery lasts; empty: no swap.";
            case SWAP -> "How long a battery swap takes.";
            case LAMPS -> "Minute at which the lamps change; empty if they do not.";
        };
    }

    /** Minutes and seconds, as a clock that runs down. */
    static String left(double seconds) {
        long whole = (long) Math.max(0, Math.ceil(seconds));
        return String.format(Locale.ROOT, "%d:%02d", whole / 60, whole % 60);
    }

    static String clock(Schedule schedule, double seconds) {
        return CLOCK.format(schedule.begins().plusMillis(Math.round(1000 * seconds)));
    }

    static String who(Block block) {
        return block.robot().isEmpty() || block.robot().equals(block.team())
                ? block.team()
                : block.team() + ", " + block.robot();
    }

    static String what(Block block) {
        return switch (block.what()) {
            case CHECK -> "steering check, one slow run";
            case STRAIGHT -> "a straight: " + block.setting();
            case BENDS -> "bends: " + block.setting();
            case KP_STEP, KD_STEP -> "a step: " + block.setting();
            case RUN -> "run: " + block.setting();
            case CONFIRM -> "confirm: " + block.setting();
            case BATTERY -> "fresh battery";
            case CALIBRATE -> "light and dark again: lamps change";
        };
    }

    static String verdict(OnItsWay plan, Instant now) {
        int done = (int)
                plan.schedule().done().stream().filter(b -> b.what().isRun()).count();
        int left = (int)
                plan.left().blocks().stream().filter(b -> b.what().isRun()).count();
        String sentence = Words.count(done, "run", "runs") + " made, " + left + " planned.";
        if (plan.schedule().leftS(now) <= 0) {
            return "Time is up. " + sentence;
        }
        int out = plan.left().leftOut().stream()
                .mapToInt(l -> l.asked() - l.planned())
                .sum();
        return sentence
                + (out == 0 ? " All of it fits." : " " + Words.count(out, "run has", "runs have") + " no room.");
    }

    /** What finds no room; empty when all does. */
    static String leftOut(Plan plan) {
        List<String> said = plan.leftOut().stream()
                .limit(MOST_LEFT_OUT)
                .map(left -> left.robot() + ", " + left.setting() + " (" + left.planned() + " of " + left.asked() + ")")
                .toList();
        int more = plan.leftOut().size() - said.size();
        return said.isEmpty()
                ? ""
                : "No room for all of: " + String.join("; ", said) + (more > 0 ? "; and " + more + " more" : "")
                        + ". Plan fewer runs each, another table or fewer settings.";
    }

    static String slipped(int before, Plan now) {
        int more = now.leftOut().size() - before;
        return "Running late: the rest is planned from now" + (more > 0 ? "; more does not fit, see page Plan" : "")
                + ".";
    }

    /** For the robot in hand: its next run, and how much time is left. */
    static String next(OnItsWay plan, String robot, Optional<String> nextTrial, Instant now) {
        double leftS = plan.schedule().leftS(now);
        if (leftS <= 0) {
            return "";
        }
        Optional<Block> next = Schedule.nextRun(plan.left(), robot);
        if (next.isEmpty()) {
            return "No more runs planned for " + robot + ".";
        }
        double inS = next.get().startS() - plan.schedule().atS(now);
        return robot + ", " + next.get().table() + ", " + (inS > 1 ? "in " + left(inS) : "now") + ": "
                + what(next.get()) + trial(next.get(), nextTrial) + ".";
    }

    /** What the next trial of Gains is, where the block asks for one. */
    private static String trial(Block block, Optional<String> nextTrial) {
        return block.setting().equals(PlanMaker.NEXT_TRIAL)
                ? nextTrial.map(words -> ", " + words).orElse(" (5, page Next trial, has it)")
                : "";
    }
}
