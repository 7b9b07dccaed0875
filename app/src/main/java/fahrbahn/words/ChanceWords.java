package fahrbahn.words;

import fahrbahn.core.setup.Setup;
import fahrbahn.core.statistics.Completion;

/** A chance to finish, never without what was driven: a test bend is not the table. */
public final class ChanceWords {
    private ChanceWords() {}

    /** @param driven the table, or what stood for it */
    public static String of(Completion chance, String driven) {
        return chance.completed() + " of " + chance.runs() + " runs on " + driven + " finish (" + range(chance) + ")";
    }

    public static String range(Completion chance) {
        return Words.percent(chance.low()) + " to " + Words.percent(chance.high());
    }

    /** Half a circle each way at the tightest radius: harder than a table of wide bends, easier than one with corners and gaps. */
    public static String testBend(Setup setup) {
        return "a test bend of " + Words.millimetres(setup.line().tightestRadiusMm()) + " radius";
    }
}
