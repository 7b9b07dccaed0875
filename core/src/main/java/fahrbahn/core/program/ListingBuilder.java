package fahrbahn.core.program;

import fahrbahn.core.program.Listing.Assign;
import fahrbahn.core.program.Listing.Constant;
import fahrbahn.core.program.Listing.If;
import fahrbahn.core.program.Listing.Note;
import fahrbahn.core.program.Listing.State;
import fahrbahn.core.program.Listing.Step;
import fahrbahn.core.program.ProgramConstant.Part;
import java.util.ArrayList;
import java.util.List;

/** Gathers a {@link Listing} step by step. */
final class ListingBuilder {
    /** Greater than any number of a program, and one that every block language takes: never, or as far as can be. */
    static final String NEVER = "1000000000";

    final List<Constant> constants = new ArrayList<>();
    final List<State> states = new ArrayList<>();
    private List<Step> steps = new ArrayList<>();

    /** @return its name, to be used in expressions */
    String constant(String name, double value, String words) {
        return constant(name, value, words, Part.LAW);
    }

    /** One of what is done about marks, in the numbers of sensors, wheels and the clock. */
    String markConstant(String name, double value, String words) {
        return constant(name, value, words, Part.MARKS);
    }

    /** One of the way round an obstacle, in the numbers of feeler, wheels and the clock. */
    String obstacleConstant(String name, double value, String words) {
        return constant(name, value, words, Part.OBSTACLE);
    }

    /** One of the place of a colour, between 0 on dark and 1 on light. */
    String colourConstant(String name, double value, String words) {
        return constant(name, value, words, Part.COLOURS);
    }

    private String constant(String name, double value, String words, Part part) {
        constants.add(new Constant(name, value, words, part));
        return name;
    }

    void state(String name, double first) {
        states.add(new State(name, first));
    }

    void note(String words) {
        steps.add(new Note(words));
    }

    void set(String name, String expression) {
        steps.add(new Assign(name, expression));
    }

    void when(String condition, Runnable then) {
        when(condition, then, () -> {});
    }

    void when(String condition, Runnable then, Runnable otherwise) {
        steps.add(new If(condition, within(then), within(otherwise)));
    }

    private List<Step> within(Runnable part) {
        List<Step> outside = steps;
        steps = new ArrayList<>();
        part.run();
        List<Step> inside = steps;
        steps = outside;
        return inside;
    }

    List<Step> steps() {
        return steps;
    }

    /** A number as every language reads it back exactly. */
    static String number(double value) {
        return value < 0 ? "(" + value + ")" : String.valueOf(value);
    }
}
