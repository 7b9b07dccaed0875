package fahrbahn.core.language;

import fahrbahn.core.program.Listing;
import fahrbahn.core.program.Listing.Assign;
import fahrbahn.core.program.Listing.If;
import fahrbahn.core.program.Listing.Note;
import fahrbahn.core.program.Listing.State;
import fahrbahn.core.program.Listing.Step;
import java.util.List;
import java.util.stream.Collectors;

/** A listing as a module of Python 3. */
final class PythonWriter {
    private final Listing listing;
    private final IndentedText text = new IndentedText();

    PythonWriter(Listing listing) {
        this.listing = listing;
    }

    String write() {
        text.head(
                "#", listing, "Call reset() once, then tick(readings, seconds) in every loop: it gives (left, right).");
        if (listing.steps().toString().contains("cos(")) { // colours in a space with hues need them
            text.line("from math import cos, sin");
        }
        text.line("");
        listing.constants()
                .forEach(c -> text.line(c.name() + " = " + c.value() + "  # " + IndentedText.clean(c.words())));
        text.line("");
        text.line("");
        String states = listing.states().stream().map(State::name).collect(Collectors.joining(", "));
        text.line("def reset():");
        text.in();
        text.line("global " + states);
        listing.states().forEach(s -> text.line(s.name() + " = " + s.first()));
        text.out();
        text.line("");
        text.line("");
        text.line("reset()");
        text.line("");
        text.line("");
        text.line("def tick(readings, seconds):");
        text.in();
        text.line("global " + states);
        steps(listing.steps());
        text.line("return left, right");
        return text.toString();
    }

    private void steps(List<Step> steps) {
        for (Step step : steps) {
            if (step instanceof Note note) {
                text.line("# " + note.words());
            } else if (step instanceof Assign set) {
                text.line(set.name() + " = " + set.expression());
            } else if (step instanceof If decision) {
                text.line("if " + decision.condition() + ":");
                inside(decision.then());
                if (!decision.otherwise().isEmpty()) {
                    text.line("else:");
                    inside(decision.otherwise());
                }
            }
        }
    }

    private void inside(List<Step> steps) {
        text.in();
        steps(steps);
        text.out();
    }
}
