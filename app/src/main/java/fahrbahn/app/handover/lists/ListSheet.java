package fahrbahn.app.handover.lists;

import fahrbahn.core.hall.Checklist;
import fahrbahn.core.hall.Checklist.Item;
import fahrbahn.pen.Paper;
import fahrbahn.pen.PdfPen;
import fahrbahn.pen.Pen.Anchor;
import fahrbahn.pen.Pen.Stroke;
import fahrbahn.pen.Wrap;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.Export;
import java.nio.file.Path;

/** A list on paper, with boxes to tick. */
final class ListSheet {
    private static final String INK = "ink-edge";
    private static final Stroke BOX = new Stroke(INK, 1);
    private static final double EDGE = 50;
    private static final double LINE = 20;
    private static final double SIDE = 12;
    private static final double TITLE = 2;
    private static final double ITEM = 1.2;

    private ListSheet() {}

    /** @throws BadFileException when it cannot be written; what was there is there still */
    static void write(String title, Checklist list, String caution, Path file) throws BadFileException {
        PdfPen pen = new PdfPen(Paper.A4.width(), Paper.A4.height());
        double room = Paper.A4.width() - 2 * EDGE;
        double y = EDGE + LINE;
        pen.text(INK, title, EDGE, y, Anchor.LEFT, TITLE);
        y += LINE;
        for (Item item : list.items()) {
            y += LINE;
            if (y > Paper.A4.height() - 2 * EDGE) {
                pen.nextPage();
                y = EDGE + LINE;
            }
            pen.frame(BOX, EDGE, y - SIDE, SIDE, SIDE);
            for (String line : Wrap.lines(pen, item.words(), room - 2 * SIDE, ITEM)) {
                pen.text(INK, line, EDGE + 2 * SIDE, y, Anchor.LEFT, ITEM);
                y += LINE;
            }
        }
        y += LINE;
        for (String line : Wrap.lines(pen, caution, room, 1)) {
            pen.text(INK, line, EDGE, y, Anchor.LEFT);
            y += LINE;
        }
        Export.bytes(file, pen.pdf());
    }
}
