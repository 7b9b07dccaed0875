package fahrbahn.core.trials;

import fahrbahn.core.difference.Cause;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.FreshnessRule;
import fahrbahn.core.knowledge.Setting;
import fahrbahn.core.knowledge.TablePrint;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.statistics.Completion;
import fahrbahn.core.statistics.Sample;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A piece of a robot's season: runs of one sitting that rest on the same. Two settings that take turns are two stretches side by side.
 *
 * @param runs oldest first, one or more
 * @param changed what is other than in the stretch before
 * @param since how it went against the stretch before
 */
public record Stretch(List<Run> runs, List<Cause> changed, Change since) {
    /** After so long a robot is set up anew: another sitting. */
    private static final Duration SITTING = Duration.ofHours(3);

    /** How a stretch went against the one before. */
    public enum Change {
        FIRST,
        BETTER,
        WORSE,
        /** It may be either, or neither. */
        NOT_SHOWN,
        /** On another table, which says nothing of the robot. */
        ELSEWHERE
    }

    public Stretch {
        runs = List.copyOf(runs);
        changed = List.copyOf(changed);
    }

    public Completion completion() {
        return group().completion();
    }

    public Sample timeS() {
        return group().timeS();
    }

    private Group group() {
        return new Group("", runs.stream().map(Run::outcome).toList());
    }

    private record Key(int sitting, Setting setting, Conditions conditions, TablePrint table) {}

    /** @param all runs of one robot from one source, oldest first */
    public static List<Stretch> of(List<Run> all) {
        Map<Key, List<Run>> bySitting = new LinkedHashMap<>();
        int sitting = 0;
        for (int i = 0; i < all.size(); i++) {
            Run run = all.get(i);
            if (i > 0 && Duration.between(all.get(i - 1).at(), run.at()).compareTo(SITTING) > 0) {
                sitting++;
            }
            Basis basis = run.basis();
            // Volts are read for single runs: they are of the sitting, and no stretch of their own.
            Conditions conditions = basis.conditions().withBatteryV(Double.NaN);
            bySitting
                    .computeIfAbsent(
                            new Key(sitting, run.setting(), conditions, basis.table()), key -> new ArrayList<>())
                    .add(run);
        }
        List<Stretch> stretches = new ArrayList<>();
        for (List<Run> runs : bySitting.values()) {
            stretches.add(
                    stretches.isEmpty()
                            ? new Stretch(runs, List.of(), Change.FIRST)
                            : after(stretches.get(stretches.size() - 1), runs));
        }
        return List.copyOf(stretches);
    }

    private static Stretch after(Stretch before, List<Run> runs) {
        Basis then = before.runs().get(0).basis();
        Basis now = runs.get(0).basis();
        List<Cause> changed = FreshnessRule.RUNS.since(then, now).causes();
        Stretch stretch = new Stretch(runs, changed, Change.NOT_SHOWN);
        Change since =
                then.table().differsFrom(now.table()) ? Change.ELSEWHERE : change(before.group(), stretch.group());
        return new Stretch(runs, changed, since);
    }

    /** Whether it finishes more often decides; where that is not told, its time. */
    private static Change change(Group before, Group now) {
        Comparison compared = Comparison.of(before, now);
        if (compared.completion().shown()) {
            return compared.completion().size() > 0 ? Change.BETTER : Change.WORSE;
        }
        if (compared.timeS().shown()) {
            return compared.timeS().size() < 0 ? Change.BETTER : Change.WORSE;
        }
        return Change.NOT_SHOWN;
    }
}
