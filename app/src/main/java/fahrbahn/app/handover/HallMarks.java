package fahrbahn.app.handover;

import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.TurnMarks;
import fahrbahn.core.tuning.CapturedTurnMarks;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** Coloured marks as they look under a hall's lamps: what the program is to take them for. */
final class HallMarks {
    private final Consumer<String> tell;
    private final Errand<TurnMarks> errand;
    private Optional<TurnMarks> found = Optional.empty();
    private Asked asked;

    /** What was worked out. */
    private record Asked(TurnMarks old, List<String> captures) {}

    HallMarks(Errands errands) {
        this.tell = errands.tell();
        this.errand = errands.errand("The marks of this hall");
    }

    /** Works them out, unless it has. @param here what was captured in this hall, a mark among it */
    void judge(TurnMarks old, List<Capture> here) {
        Asked now = new Asked(old, here.stream().map(Capture::id).toList());
        if (now.equals(asked)) {
            return;
        }
        asked = now;
        found = Optional.empty();
        errand.runToEnd(job -> CapturedTurnMarks.of(old, here), ending -> {
            if (ending instanceof Ending.Done<TurnMarks> done) {
                found = Optional.of(done.result());
            } else if (!Ending.words(ending).isEmpty()) {
                tell.accept(Ending.words(ending));
            }
        });
    }

    /** Of these minutes, or of this robot, none yet. */
    void forget() {
        errand.stop();
        asked = null;
        found = Optional.empty();
    }

    /** Empty until they are captured and worked out. */
    Optional<TurnMarks> found() {
        return found;
    }
}
