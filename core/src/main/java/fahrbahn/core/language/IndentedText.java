package fahrbahn.core.language;

import fahrbahn.core.program.Listing;
import java.util.List;

/** Lines with what is inside of something further to the right. */
final class IndentedText {
    private final StringBuilder text = new StringBuilder();
    private int depth;

    void line(String words) {
        text.append(words.isEmpty() ? "" : "    ".repeat(depth)).append(words).append('\n');
    }

    void in() {
        depth++;
    }

    void out() {
        depth--;
    }

    /** Comment lines about a program. */
    void head(String mark, Listing listing, String how) {
        line(mark + " The law of " + clean(listing.title()) + ", as Fahrbahn drives it.");
        line(mark + " " + how);
        line(mark + " Readings as the sensors give them, in this order:");
        List<String> inputs = listing.inputs();
        for (int i = 0; i < inputs.size(); i++) {
            line(mark + "   readings[" + i + "] " + clean(inputs.get(i)));
        }
    }

    /** A name in a comment: whatever would end it is left out. */
    static String clean(String name) {
        return name.replaceAll("[\\p{Cntrl}\\\\]", " ");
    }

    @Override
    public String toString() {
        return text.toString();
    }
}
