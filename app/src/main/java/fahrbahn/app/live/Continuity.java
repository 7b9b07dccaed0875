package fahrbahn.app.live;

import fahrbahn.words.Words;
import java.util.List;
import java.util.Optional;

/** Whether readings come from one robot in one go. Readings before and after a break are of two places, and belong in no capture together. */
final class Continuity {
    private List<String> columns = List.of();
    private boolean clockless;
    private double lastS = Double.NaN;
    private int interruptions;

    /** What was torn before this reading, in words; empty when nothing was. */
    Optional<String> breakBefore(Inbox.Tick tick) {
        Optional<String> why = interrupted(tick.interruptions());
        double nowS = tick.reading().tS();
        if (!columns.isEmpty() && !columns.equals(tick.columns())) {
            why = Optional.of("the robot sent " + named(columns) + " and now sends " + named(tick.columns()));
        } else if (nowS < lastS) {
            why = why.isPresent()
                    ? why
                    : Optional.of("the robot started again: its clock went from " + Words.number(lastS) + " back to "
                            + Words.number(nowS) + " s");
        } else if (clockless && columns != tick.columns() && why.isEmpty()) {
            why = Optional.of("the robot started again: it sent its header again");
        }
        clockless = Double.isNaN(nowS);
        columns = tick.columns();
        lastS = nowS;
        return why;
    }

    /** The same while nothing comes. */
    Optional<String> interrupted(int soOften) {
        boolean more = soOften > interruptions;
        interruptions = soOften;
        return more ? Optional.of("the link broke") : Optional.empty();
    }

    private static String named(List<String> names) {
        return names.size() > 4
                ? names.size() + " columns"
                : Words.count(names.size(), "column", "columns") + " (" + String.join(", ", names) + ")";
    }
}
