package fahrbahn.core.trials;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;

/**
 * All runs with one setting. Times and stop places are those of the completed runs: a run that was lost has neither.
 *
 * @param trials in the order they were run, at least one
 */
public record Group(String setting, List<Trial> trials) {
    public Group {
        trials = List.copyOf(trials);
    }

    /** Groups by setting, in the order in which the settings first come. */
    public static List<Group> of(List<Trial> trials) {
        Map<String, List<Trial>> bySetting = new LinkedHashMap<>();
        for (Trial trial : trials) {
            bySetting.computeIfAbsent(trial.setting(), s -> new ArrayList<>()).add(trial);
        }
        return bySetting.entrySet().stream()
                .map(e -> new Group(e.getKey(), e.getValue()))
                .toList();
    }

    public Completion completion() {
        int completed = (int) trials.stream().filter(Trial::completed).count();
        return Completion.of(completed, trials.size());
    }

    public Sample timeS() {
        return sample(Trial::timeS);
    }

    public Sample alongMm() {
        return sample(Trial::alongMm);
    }

    public Sample acrossMm() {
        return sample(Trial::acrossMm);
    }

    private Sample sample(ToDoubleFunction<Trial> measure) {
        return Sample.of(
                trials.stream().filter(Trial::completed).mapToDouble(measure).toArray());
    }
}
