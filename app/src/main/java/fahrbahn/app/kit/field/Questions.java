package fahrbahn.app.kit.field;

import fahrbahn.core.check.Typical;
import fahrbahn.core.law.GainSlip;
import fahrbahn.words.Words;
import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.function.Supplier;

/** What is asked of a typed number that looks like a slip; a second Enter keeps it. */
public final class Questions {
    private static final String KEEPS = " Enter again keeps it.";

    public static final DoubleFunction<Optional<String>> TRACK_WIDTH = typical(80, 200, "mm");
    public static final DoubleFunction<Optional<String>> FREE_SPEED = typical(150, 1000, "mm/s");
    public static final DoubleFunction<Optional<String>> LOOP_TIME = typical(2, 50, "ms");
    public static final DoubleFunction<Optional<String>> SENSOR_HEIGHT = typical(3, 20, "mm");

    private Questions() {}

    /** Of a number far from what is typical. @param unit as the field's label has it */
    public static DoubleFunction<Optional<String>> typical(double low, double high, String unit) {
        Typical typical = new Typical(low, high);
        return value -> typical.odd(value)
                ? Optional.of(Words.exact(value) + " " + unit + "? Typical is " + Words.exact(low) + " to "
                        + Words.exact(high) + "." + KEEPS)
                : Optional.empty();
    }

    /** Of a gain far from all else that is known of it. @param others of this gain, as they are when it is typed */
    public static DoubleFunction<Optional<String>> gain(String name, Supplier<double[]> others) {
        return value -> GainSlip.of(value, others.get())
                .map(slip -> name + " " + Words.exact(value) + "? That is "
                        + (slip.times() > 1
                                ? Words.number(slip.times(), 2) + " times "
                                : "1/" + Words.number(1 / slip.times(), 2) + " of ")
                        + Words.number(slip.other(), 2) + ": a slipped decimal?" + KEEPS);
    }
}
