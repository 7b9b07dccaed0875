package fahrbahn.app.robot.bench;

import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Knowledge;
import fahrbahn.words.Words;

/** How well a constant is known, in the units of the screen. */
public final class KnowledgeWords {
    private KnowledgeWords() {}

    /** Value with its uncertainty. */
    public static String value(Knowledge known) {
        double factor = unitFactor(known.constant());
        return Words.number(factor * known.value(), 3) + " \u00b1 " + Words.number(factor * known.uncertainty(), 2)
                + " " + unit(known.constant());
    }

    private static boolean time(Constant constant) {
        return constant == Constant.LAG || constant == Constant.LOOP_TIME || constant == Constant.DELAY;
    }

    public static double unitFactor(Constant constant) {
        return time(constant) ? 1000 : constant == Constant.SAG ? 100 : 1;
    }

    public static String unit(Constant constant) {
        if (time(constant)) {
            return "ms";
        }
        return switch (constant) {
            case FREE_SPEED -> "mm/s";
            case DEAD_ZONE, BREAKAWAY, HOLDING -> "command";
            case SAG -> "%";
            default -> "mm";
        };
    }

    /** What the uncertainty does to the gain at which the robot wiggles. */
    public static String cost(Knowledge known) {
        if (known.cost().nowKp() == 0) {
            return "no Kp is stable with this value";
        }
        return "wiggle limit Kp " + Words.number(known.cost().lowKp(), 2) + " to "
                + Words.number(known.cost().highKp(), 2);
    }
}
