package fahrbahn.app.handover;

import fahrbahn.app.handover.program.ProgramModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.core.program.HandOver;
import fahrbahn.words.HandOverWords;
import fahrbahn.words.Words;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What is said at Hand-over. */
final class HandoverWords {
    private static final DateTimeFormatter WHEN =
            DateTimeFormatter.ofPattern("d MMM yyyy HH:mm", Locale.ENGLISH).withZone(ZoneId.systemDefault());

    private HandoverWords() {}

    static String when(Instant at) {
        return WHEN.format(at);
    }

    static Verdict verdict(ProgramModel program, String robot) {
        String refusal = program.taken().value().refusal();
        if (!refusal.isEmpty()) {
            return Verdict.stop(refusal);
        }
        List<HandOver.Change> toType = program.toType();
        Optional<HandOver> last = program.last();
        if (last.isEmpty()) {
            return Verdict.open(Words.count(toType.size(), "number goes", "numbers go") + " into the program of "
                    + robot + ": type them, then press U on Program.");
        }
        if (toType.isEmpty()) {
            return Verdict.good("The program of " + robot + " has all its "
                    + Words.count(program.constants().size(), "number", "numbers") + ", handed over "
                    + when(last.get().at()) + ".");
        }
        return Verdict.care(HandOverWords.differs(toType) + ": type " + (toType.size() == 1 ? "it" : "them")
                + ", then press U on Program.");
    }
}
