package fahrbahn.app.runs;

import fahrbahn.core.trials.Run;
import fahrbahn.words.RunWords;
import fahrbahn.words.Words;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** A run of the log book and what became of it, in words. */
final class BookWords {
    static final String BEING_READ = "Reading the log book.";
    static final String NO_PHOTO = "No photograph.";
    static final String SEARCH =
            "Words that must be there, -words that must not, and figures like time<12, kp>=1, along>-3, at<2, volts<7.5.";

    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("d MMM HH:mm:ss", Locale.ENGLISH).withZone(ZoneId.systemDefault());

    private BookWords() {}

    static String count(int shown, int all) {
        return shown == all
                ? Words.count(all, "run", "runs") + "."
                : shown + " of " + Words.count(all, "run", "runs") + ".";
    }

    /** All that was noted of it. */
    static String run(Run run) {
        List<String> said = new ArrayList<>();
        said.add(RunWords.when(run) + ", the " + RunWords.who(run) + " " + RunWords.outcome(run));
        said.add(RunWords.setting(run));
        if (!run.basis().table().name().isEmpty()) {
            said.add("on " + run.basis().table().name());
        }
        run.outcome().seen().ifPresent(seen -> said.add(RunWords.seen(seen)));
        run.outcome().wiggles().ifPresent(w -> said.add(w.count() + " wiggles in " + Words.seconds(w.overS())));
        if (!Double.isNaN(run.volts())) {
            said.add(Words.number(run.volts()) + " V");
        }
        if (!run.basis().conditions().wheels().isEmpty()) {
            said.add(run.basis().conditions().wheels());
        }
        return String.join(", ", said) + ".";
    }

    /** What it was and when that was said; nothing of one that was never mended. */
    static String history(List<Map.Entry<Instant, Run>> states) {
        if (states.size() < 2) {
            return states.isEmpty() ? "" : "Logged " + TIME.format(states.get(0).getKey()) + ", never edited.";
        }
        List<String> lines = new ArrayList<>();
        for (int i = 0; i < states.size(); i++) {
            lines.add(
                    (i == 0 ? "Logged " : "Edited ") + TIME.format(states.get(i).getKey()) + ": "
                            + state(states.get(i).getValue()) + ".");
        }
        return String.join("\n", lines);
    }

    private static String state(Run run) {
        List<String> said = new ArrayList<>(List.of(RunWords.outcome(run)));
        if (!Double.isNaN(run.outcome().timeS())) {
            said.add(Words.seconds(run.outcome().timeS()));
        }
        if (!RunWords.place(run).isEmpty()) {
            said.add(RunWords.place(run));
        }
        run.partOf().ifPresent(part -> said.add(part.word()));
        if (!run.note().isEmpty()) {
            said.add("'" + run.note() + "'");
        }
        return String.join(", ", said);
    }
}
