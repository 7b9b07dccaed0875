package fahrbahn.pen;

import java.util.ArrayList;
import java.util.List;

/** Words in lines that are no wider than there is room for. */
public final class Wrap {
    private Wrap() {}

    /** One line or more; a word that is wider than the room goes on in the next line. @param times as large as words usually are */
    public static List<String> lines(Pen pen, String words, double width, double times) {
        List<String> lines = new ArrayList<>();
        String line = "";
        for (String word : words.split(" ")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (pen.width(longer, times) <= width) {
                line = longer;
                continue;
            }
            if (!line.isEmpty()) {
                lines.add(line);
            }
            line = word;
            while (pen.width(line, times) > width && line.length() > 1) {
                int fits = fits(pen, line, width, times);
                lines.add(line.substring(0, fits));
                line = line.substring(fits);
            }
        }
        lines.add(line);
        return lines;
    }

    /** How many letters have room; one at least. */
    private static int fits(Pen pen, String word, double width, double times) {
        int fits = word.length() - 1;
        while (fits > 1 && pen.width(word.substring(0, fits), times) > width) {
            fits--;
        }
        return fits;
    }
}
