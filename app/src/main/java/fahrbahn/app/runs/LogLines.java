package fahrbahn.app.runs;

import fahrbahn.core.trials.LogLine;
import fahrbahn.core.trials.PartOf;
import fahrbahn.core.trials.Run;
import fahrbahn.words.Names;
import fahrbahn.words.RunWords;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;

/** Runs in the words they are searched by; made once a run. Any thread. */
final class LogLines {
    private Map<Run, LogLine> lines = new IdentityHashMap<>();
    private Names names = new Names(Map.of(), Map.of());

    /** In the order of the runs; those of another robot are not kept. */
    synchronized List<LogLine> of(List<Run> runs, Names called) {
        Map<Run, LogLine> before = called.equals(names) ? lines : Map.of();
        Map<Run, LogLine> known = new IdentityHashMap<>(2 * runs.size());
        List<LogLine> all = new ArrayList<>(runs.size());
        for (Run run : runs) {
            LogLine line = before.get(run);
            all.add(line == null ? line(run, called) : line);
            known.put(run, all.get(all.size() - 1));
        }
        lines = known;
        names = called;
        return List.copyOf(all);
    }

    private static LogLine line(Run run, Names names) {
        return new LogLine(
                run,
                String.join(
                        " ",
                        RunWords.when(run),
                        RunWords.who(run),
                        run.basis().table().name(),
                        names.venue(run.basis().conditions().venue()),
                        RunWords.outcome(run),
                        RunWords.place(run),
                        RunWords.setting(run),
                        run.outcome().seen().map(RunWords::seen).orElse(""),
                        run.basis().conditions().wheels(),
                        run.photo().isPresent() ? "photo" : "",
                        run.partOf().map(PartOf::word).orElse(""),
                        run.note()));
    }
}
