package fahrbahn.app.levels;

import fahrbahn.core.law.UsualLaws;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Options.Step;
import fahrbahn.core.setup.Setup;
import java.util.List;

/** How steering follows the error. */
enum Stairs {
    GAINS("by its gains", 0, false),
    TWO("two states", 1, false),
    THREE("three states, a straight zone", 1, true),
    GRADED_TWO("two grades each way", 2, true),
    GRADED_THREE("three grades each way", 3, true);

    private final String words;
    private final int count;
    private final boolean zone;

    Stairs(String words, int count, boolean zone) {
        this.words = words;
        this.count = count;
        this.zone = zone;
    }

    String words() {
        return words;
    }

    /** What a law has; of more steps than three, three. */
    static Stairs of(Law law) {
        List<Step> steps = law.options().steps();
        return switch (steps.size()) {
            case 0 -> GAINS;
            case 1 -> steps.get(0).aboveError() > 0 ? THREE : TWO;
            case 2 -> GRADED_TWO;
            default -> GRADED_THREE;
        };
    }

    /** Steps to begin with. */
    List<Step> of(Setup setup) {
        return UsualLaws.steps(setup, count, zone);
    }
}
