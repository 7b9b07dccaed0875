package fahrbahn.core.language;

import fahrbahn.core.program.Listing;
import fahrbahn.core.program.Listing.Assign;
import fahrbahn.core.program.Listing.Constant;
import fahrbahn.core.program.Listing.If;
import fahrbahn.core.program.Listing.Note;
import fahrbahn.core.program.Listing.State;
import fahrbahn.core.program.Listing.Step;
import java.util.List;
import java.util.stream.Collectors;

/** A listing in a language with braces: C++ (11 or newer) or Java. */
final class CurlyWriter {
    private final Listing listing;
    private final boolean java;
    private final IndentedText text = new IndentedText();

    private CurlyWriter(Listing listing, boolean java) {
        this.listing = listing;
        this.java = java;
    }

    static CurlyWriter cpp(Listing listing) {
        return new CurlyWriter(listing, false);
    }

    static CurlyWriter java(Listing listing) {
        return new CurlyWriter(listing, true);
    }

    String write() {
        text.head("//", listing, "Call reset() once, then tick(...) in every loop.");
        if (!java) {
            text.line("#include <cmath>");
        }
        text.line("");
        text.line(java ? "final class Law {" : "struct Law {");
        text.in();
        listing.constants().forEach(this::constant);
        text.line("");
        listing.states().forEach(s -> text.line((java ? "private " : "") + "double " + state(s) + ";"));
        text.line("");
        if (java) {
            text.line("Law() {");
            text.in();
            text.line("reset();");
            text.out();
            text.line("}");
        } else {
            text.line("Law() { reset(); }");
        }
        text.line("");
        text.line("void reset() {");
        text.in();
        listing.states().forEach(s -> text.line(s.name() + " = " + s.first() + ";"));
        text.out();
        text.line("}");
        text.line("");
        tick();
        text.out();
        text.line(java ? "}" : "};");
        return text.toString();
    }

    private String state(State state) {
        return state.name() + " = " + state.first();
    }

    private void constant(Constant c) {
        String kind = java ? "private static final double " : "static constexpr double ";
        text.line(kind + c.name() + " = " + c.value() + "; // " + IndentedText.clean(c.words()));
    }

    private void tick() {
        List<String> locals = listing.locals();
        if (java) {
            text.line("double[] tick(double[] readings, double seconds) {");
        } else {
            locals.removeAll(List.of("left", "right")); // they are where the answer goes
            text.line("void tick(const double* readings, double seconds, double& left, double& right) {");
        }
        text.in();
        text.line("double " + locals.stream().map(name -> name + " = 0").collect(Collectors.joining(", ")) + ";");
        steps(listing.steps());
        if (java) {
            text.line("return new double[] {left, right};");
        } else {
            text.line("(void) seconds;");
        }
        text.out();
        text.line("}");
    }

    private void steps(List<Step> steps) {
        for (Step step : steps) {
            if (step instanceof Note note) {
                text.line("// " + note.words());
            } else if (step instanceof Assign set) {
                text.line(set.name() + " = " + said(set.expression()) + ";");
            } else if (step instanceof If decision) {
                text.line("if (" + said(decision.condition()) + ") {");
                inside(decision.then());
                if (!decision.otherwise().isEmpty()) {
                    text.line("} else {");
                    inside(decision.otherwise());
                }
                text.line("}");
            }
        }
    }

    private void inside(List<Step> steps) {
        text.in();
        steps(steps);
        text.out();
    }

    private String said(String expression) {
        String both = expression.replace(" and ", " && ").replace(" or ", " || ");
        return java
                ? both.replaceAll("\\b(abs|min|max|cos|sin)\\(", "Math.$1(")
                : both.replaceAll("\\b(cos|sin)\\(", "std::$1(")
                        .replaceAll("\\babs\\(", "std::fabs(")
                        .replaceAll("\\b(min|max)\\(", "std::f$1(");
    }
}
