package fahrbahn.core.program;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * A program in no language in particular: numbers that a team may change, what it remembers from tick to tick, and what it does in a tick. All values
 * are numbers; expressions are text that the languages have in common, with {@code and}, {@code or} and the functions {@code abs}, {@code min},
 * {@code max}, {@code cos} and {@code sin}.
 *
 * @param title of the robot
 * @param inputs what each reading is, in their order
 * @param states with what they are before the first tick
 */
public record Listing(
        String title, List<String> inputs, List<Constant> constants, List<State> states, List<Step> steps) {
    /** @param words what it is, for a comment */
    public record Constant(String name, double value, String words, ProgramConstant.Part part) {}

    /** Remembered from tick to tick. */
    public record State(String name, double first) {}

    /** One thing a program does. */
    public sealed interface Step {}

    /** Words for who reads it. */
    public record Note(String words) implements Step {}

    public record Assign(String name, String expression) implements Step {}

    /** @param otherwise none where nothing is done then */
    public record If(String condition, List<Step> then, List<Step> otherwise) implements Step {
        public If {
            then = List.copyOf(then);
            otherwise = List.copyOf(otherwise);
        }
    }

    public Listing {
        inputs = List.copyOf(inputs);
        constants = List.copyOf(constants);
        states = List.copyOf(states);
        steps = List.copyOf(steps);
    }

    /** What is set in a tick and not remembered, in the order in which it is first set. */
    public List<String> locals() {
        Set<String> names = new LinkedHashSet<>();
        collect(steps, names);
        states.forEach(state -> names.remove(state.name()));
        return new ArrayList<>(names);
    }

    private static void collect(List<Step> steps, Set<String> names) {
        for (Step step : steps) {
            if (step instanceof Assign set) {
                names.add(set.name());
            } else if (step instanceof If decision) {
                collect(decision.then(), names);
                collect(decision.otherwise(), names);
            }
        }
    }
}
