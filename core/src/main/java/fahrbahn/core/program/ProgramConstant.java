package fahrbahn.core.program;

import fahrbahn.core.setup.Setup;
import java.util.List;

/**
 * A number that a team types into its program.
 *
 * @param name as it stands in the exported program
 * @param value in the numbers of the program
 * @param words what it is
 */
public record ProgramConstant(String name, double value, String words, Part part) {
    /** What a number is for. */
    public enum Part {
        /** Levels, gains, commands: what a team types after each evening. */
        LAW,
        /** What is done about coloured marks. */
        MARKS,
        /** What is done about an obstacle. */
        OBSTACLE,
        /** The places of colours, between 0 on dark and 1 on light: fractions whatever numbers the rest of the program takes. */
        COLOURS
    }

    private static final List<String> GAINS = List.of("KP", "KI", "KD");

    /**
     * Those of a law, in the order in which the program has them.
     *
     * @throws fahrbahn.core.check.BadValueException when the setup's robot would ride nowhere
     */
    public static List<ProgramConstant> of(Setup setup) {
        return LawListing.of(setup).constants().stream()
                .map(c -> new ProgramConstant(c.name(), c.value(), c.words(), c.part()))
                .toList();
    }

    public boolean gain() {
        return GAINS.contains(name);
    }

    /** The number that is typed: a gain that the program holds in parts is so many of them. */
    public double typed(Grain grain) {
        return gain() && grain.gainsInParts() ? Math.rint(value * Grain.PARTS) : value;
    }
}
