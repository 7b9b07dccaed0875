package fahrbahn.app.handover.program;

import fahrbahn.app.state.Value;
import fahrbahn.core.language.Language;
import fahrbahn.core.program.Grain;
import fahrbahn.core.program.Taken;
import fahrbahn.core.program.TypedBack.Slip;
import fahrbahn.core.review.Difference;
import fahrbahn.core.review.TwoOnOneTable;
import fahrbahn.words.Words;
import java.util.List;

/** What is said of the program and of what stands on the robot. */
final class ProgramWords {
    /** Of the chance: more than luck of two hundred pairs. */
    private static final double COSTLY = 0.02;

    private ProgramWords() {}

    static String language(Language language) {
        return switch (language) {
            case PYTHON -> "Python";
            case CPP -> "C++";
            case JAVA -> "Java";
            case BLOCKS -> "blocks, in words";
        };
    }

    /** A name for the file. */
    static String fileName(Language language) {
        return switch (language) {
            case PYTHON -> "law.py";
            case CPP -> "law.hpp";
            case JAVA -> "Law.java";
            case BLOCKS -> "law.txt";
        };
    }

    /** What rounding does to the numbers, and what that costs on the table. */
    static String rounding(Taken taken, Value<TwoOnOneTable> cost) {
        List<Taken.Change> changes = taken.changes();
        if (taken.grain() == Grain.ANY) {
            return "Nothing is rounded.";
        }
        if (changes.isEmpty()) {
            return "Rounding to " + taken.grain().words() + " changes nothing.";
        }
        Taken.Change most = changes.stream()
                .max((a, b) -> Double.compare(a.share(), b.share()))
                .orElseThrow();
        String moved = "Rounded to " + taken.grain().words() + ", " + most.name() + " becomes "
                + Words.number(most.taken(), 4) + " from " + Words.number(most.set(), 4) + " ("
                + Words.percent(most.share()) + " off)"
                + (changes.size() > 1 ? ", the most of " + changes.size() + " that change" : "") + ". ";
        return moved
                + cost.ready().map(driven -> cost(taken, driven)).orElseGet(() -> cost.absence("Simulating both."));
    }

    private static String cost(Taken taken, TwoOnOneTable cost) {
        Difference chance = cost.chance();
        String chances = "It finishes " + Words.percent(chance.b()) + " of " + chance.pairs() + " runs on "
                + cost.table() + ", " + Words.percent(chance.a()) + " unrounded";
        if (chance.shown() && chance.size() < -COSTLY) {
            return chances + ": too coarse. "
                    + (taken.grain() == Grain.WHOLE
                            ? "Keep gains in hundredths and divide by 100 in the program."
                            : "Take finer numbers, or another scale.");
        }
        Difference time = cost.timeS();
        String slower = time.told() && time.shown()
                ? "; a lap takes " + Words.seconds(Math.abs(time.size())) + (time.size() > 0 ? " longer" : " less")
                : "";
        return chances + slower + ": no visible cost.";
    }

    /** One slip of what was typed back. */
    static String slip(Slip slip) {
        String name = slip.handed().name();
        String wanted = Words.number(slip.handed().value(), 4);
        return switch (slip.kind()) {
            case MISSING -> name + " was not typed; it must be " + wanted + ".";
            case SIGN -> name + " has the wrong sign: it must be " + wanted + ". The robot would turn away.";
            case SWAPPED ->
                name + " has the value of " + slip.other().orElse("another") + ": it must be " + wanted + ".";
            case DECIMAL ->
                name + " is " + times(slip.places()) + ": decimal point slipped; it must be " + wanted + ".";
            case PER_SECOND -> name + " mixes per second and per loop: it must be " + wanted + ".";
            case DIGITS -> name + " has two digits swapped: it must be " + wanted + ".";
            case OTHER -> name + " is another number: it must be " + wanted + ".";
        };
    }

    private static String times(int places) {
        long factor = Math.round(Math.pow(10, Math.abs(places)));
        return places > 0 ? factor + " times too large" : factor + " times too small";
    }

    static String typed(List<Slip> slips, int typedCount, int of) {
        if (typedCount == 0) {
            return "Read the " + of + " numbers off the robot and type them here.";
        }
        long missing = slips.stream()
                .filter(s -> s.kind() == fahrbahn.core.program.TypedBack.Kind.MISSING)
                .count();
        long wrong = slips.size() - missing;
        if (wrong > 0) {
            return Words.count(wrong, "slip", "slips") + ": fix " + (wrong == 1 ? "it" : "them")
                    + " on the robot before it starts.";
        }
        return missing > 0
                ? "All right so far; " + Words.count(missing, "number is", "numbers are") + " left to read."
                : "All " + of + " numbers are right.";
    }
}
