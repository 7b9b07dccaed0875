package fahrbahn.card;

import fahrbahn.core.tuning.LanePicture;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * All that stands on the page that a crew takes to the table.
 *
 * @param heading what it is of
 * @param numbers to be typed into the program
 * @param marks what it does about coloured marks
 * @param taken how the program takes numbers
 * @param speed what the base command means on the table
 * @param signs which way each sensor must turn it
 * @param faults what to do for each fault that is seen
 * @param stale what does not hold any more, and since what; empty when all does
 * @param cautions that fit
 * @param lane where the set point stands; empty where the law has no such picture
 */
public record PitCard(
        Heading heading,
        List<Number> numbers,
        Marks marks,
        String taken,
        String speed,
        List<Line> signs,
        List<Line> faults,
        List<String> stale,
        List<String> cautions,
        Optional<LanePicture> lane) {
    /**
     * @param robot its name
     * @param whose team, table and venue, as far as they are known
     * @param when the card was made
     */
    public record Heading(String robot, String whose, String when) {}

    /**
     * @param numbers to be typed once marks are captured again; empty where it looks for none
     * @param colours which is which among them; empty without marks
     */
    public record Marks(List<Number> numbers, String colours) {
        public Marks {
            numbers = List.copyOf(numbers);
        }
    }

    /** @param value as it is typed @param changed since the last hand-over */
    public record Number(String name, String value, String words, boolean changed) {}

    /** @param what is seen or done @param then what follows */
    public record Line(String what, String then) {}

    /** All that is typed into the program. */
    public List<Number> all() {
        return Stream.concat(numbers.stream(), marks.numbers().stream()).toList();
    }

    public PitCard {
        numbers = List.copyOf(numbers);
        signs = List.copyOf(signs);
        faults = List.copyOf(faults);
        stale = List.copyOf(stale);
        cautions = List.copyOf(cautions);
    }
}
