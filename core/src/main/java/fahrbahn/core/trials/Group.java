package fahrbahn.core.trials;

import fahrbahn.core.statistics.Completion;
import fahrbahn.core.statistics.Sample;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * All runs with one setting. Times and stop places are those of the completed runs: a run that was lost has neither.
 *
 * @param setting its name
 * @param outcomes in the order they were run, at least one
 */
public record Group(String setting, List<Outcome> outcomes) {
    public Group {
        outcomes = List.copyOf(outcomes);
    }

    public Completion completion() {
        int completed = (int) outcomes.stream().filter(Outcome::completed).count();
        return Completion.of(completed, outcomes.size());
    }

    public Sample timeS() {
        return sample(Outcome::timeS);
    }

    public Sample alongMm() {
        return sample(o -> o.stop().alongMm());
    }

    public Sample acrossMm() {
        return sample(o -> o.stop().acrossMm());
    }

    private Sample sample(ToDoubleFunction<Outcome> measure) {
        return Sample.of(outcomes.stream()
                .filter(Outcome::completed)
                .mapToDouble(measure)
                .toArray());
    }
}
