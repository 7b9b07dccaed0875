package fahrbahn.headless.kit;

import java.io.FilterWriter;
import java.io.IOException;
import java.io.PrintStream;
import java.io.PrintWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.Locale;

/**
 * Text for a terminal: what a file brings in that a terminal would obey, or that turns the direction of reading, is written as the number of the character,
 * as JSON has it.
 */
public final class PlainWriter extends FilterWriter {
    /** Elsewhere a return to the start of the line writes over what stands there. */
    private static final boolean LINES_RETURN = System.lineSeparator().indexOf('\r') >= 0;

    private PlainWriter(Writer out) {
        super(out);
    }

    public static PrintWriter of(PrintStream stream) {
        return new PrintWriter(new PlainWriter(new PrintWriter(stream, false, StandardCharsets.UTF_8)), true);
    }

    /** For tests. */
    public static PrintWriter of(Writer writer) {
        return new PrintWriter(new PlainWriter(writer), true);
    }

    @Override
    public void write(int c) throws IOException {
        if (obeyed((char) c)) {
            out.write(String.format(Locale.ROOT, "\\u%04x", c));
        } else {
            out.write(c);
        }
    }

    @Override
    public void write(char[] text, int from, int length) throws IOException {
        for (int i = from; i < from + length; i++) {
            write(text[i]);
        }
    }

    @Override
    public void write(String text, int from, int length) throws IOException {
        for (int i = from; i < from + length; i++) {
            write(text.charAt(i));
        }
    }

    private static boolean obeyed(char c) {
        boolean ours = c == '\n' || c == '\t' || c == '\r' && LINES_RETURN;
        boolean turns =
                c == '\u200e' || c == '\u200f' || c >= '\u202a' && c <= '\u202e' || c >= '\u2066' && c <= '\u2069';
        return Character.isISOControl(c) && !ours || turns;
    }
}
