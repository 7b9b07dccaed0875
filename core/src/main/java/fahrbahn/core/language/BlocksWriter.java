package fahrbahn.core.language;

import fahrbahn.core.program.Listing;
import fahrbahn.core.program.Listing.Assign;
import fahrbahn.core.program.Listing.If;
import fahrbahn.core.program.Listing.Note;
import fahrbahn.core.program.Listing.Step;
import java.util.List;

/** A listing as numbered steps in plain words. */
final class BlocksWriter {
    private final Listing listing;
    private final IndentedText text = new IndentedText();

    BlocksWriter(Listing listing) {
        this.listing = listing;
    }

    String write() {
        text.line("The law of " + IndentedText.clean(listing.title()) + ", step by step.");
        text.line("");
        text.line("Make these variables and set them before the loop begins:");
        listing.constants()
                .forEach(c -> text.line(
                        "  " + words(c.name()) + " = " + c.value() + " (" + IndentedText.clean(c.words()) + ")"));
        listing.states().forEach(s -> text.line("  " + words(s.name()) + " = " + s.first()));
        text.line("");
        text.line("Then in every loop, with seconds the time since the loop before:");
        for (int i = 0; i < listing.inputs().size(); i++) {
            text.line("  reading " + i + " is what the sensor "
                    + IndentedText.clean(listing.inputs().get(i)) + " reads");
        }
        steps(listing.steps(), "");
        text.line((countOf(listing.steps()) + 1) + ". Send left to the left wheel and right to the right wheel.");
        return text.toString();
    }

    private static int countOf(List<Step> steps) {
        return (int) steps.stream().filter(step -> !(step instanceof Note)).count();
    }

    /** @param above number of the step they are inside of, with its dot */
    private void steps(List<Step> steps, String above) {
        int number = 0;
        for (Step step : steps) {
            if (step instanceof Note note) {
                text.line("-- " + note.words() + " --");
                continue;
            }
            String label = above + ++number + ". ";
            if (step instanceof Assign set) {
                text.line(label + "Set " + words(set.name()) + " to " + words(set.expression()) + ".");
            } else if (step instanceof If decision) {
                text.line(label + "If " + words(decision.condition()) + ":");
                text.in();
                steps(decision.then(), above + number + ".");
                text.out();
                if (!decision.otherwise().isEmpty()) {
                    text.line("Otherwise:");
                    text.in();
                    steps(decision.otherwise(), above + number + ".0.");
                    text.out();
                }
            }
        }
    }

    private static String words(String expression) {
        return expression
                .replaceAll("readings\\[(\\d+)]", "reading $1")
                .replace(" >= ", " is at least ")
                .replace(" <= ", " is at most ")
                .replace(" == ", " is ")
                .replace(" != ", " is not ")
                .replace(" > ", " is above ")
                .replace(" < ", " is below ")
                .replace(" * ", " x ")
                .replace('_', ' ');
    }
}
