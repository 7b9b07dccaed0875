package fahrbahn.app.shell;

import fahrbahn.pen.PdfPen;
import fahrbahn.pen.Pen;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.Export;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/** The keys of a station on a sheet of paper, to lie beside the table. */
final class KeySheet {
    private static final double WIDTH = 595; // A4, in points
    private static final double HEIGHT = 842;
    private static final double LEFT = 56;
    private static final double WORDS = 210;
    private static final double LINE = 21;
    private static final String INK = "ink-edge";
    private static final Pen.Stroke RULE = new Pen.Stroke("ink-zero", 0.6);

    /** Keys with what they do, under a title. */
    record Group(String title, List<Map.Entry<String, String>> keys) {}

    private KeySheet() {}

    /** @throws BadFileException when it cannot be written; what was there is there still */
    static void write(List<Group> groups, Path file) throws BadFileException {
        PdfPen pen = new PdfPen(WIDTH, HEIGHT);
        draw(groups, pen);
        Export.bytes(file, pen.pdf());
    }

    static void draw(List<Group> groups, Pen pen) {
        double y = LEFT;
        for (Group group : groups) {
            pen.text(INK, group.title(), LEFT, y);
            pen.line(RULE, LEFT, y + 6, WIDTH - LEFT, y + 6);
            y += LINE * 1.2;
            for (Map.Entry<String, String> key : group.keys()) {
                pen.text(INK, key.getKey(), LEFT, y);
                y = wrapped(pen, key.getValue(), y);
            }
            y += LINE * 0.6;
        }
    }

    /** @return where the next line goes */
    private static double wrapped(Pen pen, String words, double y) {
        double at = y;
        StringBuilder line = new StringBuilder();
        for (String word : words.split(" ")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (pen.width(longer) > WIDTH - LEFT - WORDS) {
                pen.text(INK, line.toString(), WORDS, at);
                at += LINE * 0.8;
                line.setLength(0);
                line.append(word);
            } else {
                line.setLength(0);
                line.append(longer);
            }
        }
        pen.text(INK, line.toString(), WORDS, at);
        return at + LINE;
    }
}
