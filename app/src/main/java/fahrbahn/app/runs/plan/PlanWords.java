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
    static final String NONE =
            "Runs that take turns, in a drawn order, on every table at once: nothing is tangled with time, table or battery.";

    static final String CAUTION =
            "Fingers and hair off the wheels, a hand at the table's edge. Lithium packs are charged in sight, on a fireproof"
                    + " place; a swollen one is never charged. The venue's rules come first.";

    private static final int MOST_LEFT_OUT = 4;

    private static final DateTimeFormatter CLOCK =
            DateTimeFormatter.ofPattern("HH:mm:ss", Locale.ENGLISH).withZone(ZoneId.systemDefault());

    private PlanWords() {}

    static final String TABLES = "tables";

    static final String WHAT_TABLES =
            "The tables there are to run on: how many like the one in hand, or their names with commas between; left empty for the one in hand.";

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
            case MINUTES -> "Minutes there are, from now on.";
            case RUNS_EACH -> "Runs of each setting that is compared or confirmed; steps of a ladder are run twice.";
            case LAP -> "How long a run takes; left empty it is what the log book tells.";
            case RESET -> "From the end of a run until the next can start; left empty it is what the log book tells.";
            case CHECK -> "For the sign check by hand and one slow run before each robot's first run; 0 for none.";
            case BATTERY_RUNS -> "How many runs a battery lasts; left empty none is swapped.";
            case SWAP -> "How long a battery swap takes.";
            case LAMPS ->
                "The minute at which the lamps change, so that light and dark are captured again; left empty when they do not.";
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
            case CHECK -> "sign check, one slow run";
            case STRAIGHT -> "a straight: " + block.setting();
            case BENDS -> "bends: " + block.setting();
            case KP_STEP, KD_STEP -> "a step: " + block.setting();
            case RUN -> "run: " + block.setting();
            case CONFIRM -> "confirm: " + block.setting();
            case BATTERY -> "fresh battery";
            case CALIBRATE -> "light and dark again: the lamps change";
        };
    }

    static String verdict(OnItsWay plan, Instant now) {
        int done = (int)
                plan.schedule().done().stream().filter(b -> b.what().isRun()).count();
        int left = (int)
                plan.left().blocks().stream().filter(b -> b.what().isRun()).count();
        String sentence = Words.count(done, "run", "runs") + " made, " + left + " planned.";
        if (plan.schedule().leftS(now) <= 0) {
            return "The time is over. " + sentence;
        }
        int out = plan.left().leftOut().stream()
                .mapToInt(l -> l.asked() - l.planned())
                .sum();
        return sentence
                + (out == 0 ? " All of it fits." : " " + Words.count(out, "run finds", "runs find") + " no room.");
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
                        + ". Fewer runs each, another table or fewer settings make room.";
    }

    static String slipped(int before, Plan now) {
        int more = now.leftOut().size() - before;
        return "Time has slipped: the rest is planned from now on"
                + (more > 0 ? "; more finds no room, see the page Plan" : "") + ".";
    }

    /** For the robot in hand: its next run, and how much time is left. */
    static String next(OnItsWay plan, String robot, Optional<String> nextTrial, Instant now) {
        double leftS = plan.schedule().leftS(now);
        if (leftS <= 0) {
            return "";
        }
        Optional<Block> next = Schedule.nextRun(plan.left(), robot);
        if (next.isEmpty()) {
            return "The plan has no more runs for " + robot + ".";
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
