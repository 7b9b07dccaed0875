package fahrbahn.core.trials;

import fahrbahn.core.setup.Law;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/** A number of a run by which a log book is filtered and sorted. */
public enum Figure {
    TIME("time", run -> run.outcome().timeS()),
    ALONG("along", run -> run.outcome().stop().alongMm()),
    ACROSS("across", run -> run.outcome().stop().acrossMm()),
    /** Where it was lost, m along the line, as a coach types it. */
    LOST_AT("at", run -> run.outcome().lostMm() / 1000),
    VOLTS("volts", Run::volts),
    KP("kp", law(Law::kp)),
    KI("ki", law(Law::ki)),
    KD("kd", law(Law::kd)),
    BASE("base", law(Law::baseCommand));

    private final String word;
    private final ToDoubleFunction<Run> of;

    Figure(String word, ToDoubleFunction<Run> of) {
        this.word = word;
        this.of = of;
    }

    private static ToDoubleFunction<Run> law(Function<Law, Double> number) {
        return run -> number.apply(run.setting().setup().law());
    }

    /** As it is typed. */
    public String word() {
        return word;
    }

    /** NaN when nobody measured it. */
    public double of(Run run) {
        return of.applyAsDouble(run);
    }
}
