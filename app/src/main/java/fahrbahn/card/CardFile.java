package fahrbahn.card;

import fahrbahn.pen.ChartFile;
import fahrbahn.pen.Paper;
import fahrbahn.pen.PdfPen;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.Export;
import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;

/** Cards as files: SVG and PNG by the ending of their name, else PDF, in which each has its page. */
public final class CardFile {
    private CardFile() {}

    /**
     * @param cards one or more; of drawings and pictures the first
     * @throws BadFileException when it cannot be written; what was there is there still
     */
    public static void write(List<PitCard> cards, Paper paper, Path file) throws BadFileException {
        String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
        if (name.endsWith(".svg") || name.endsWith(".png")) {
            ChartFile.write(List.of(new CardSheet(cards.get(0), paper)), file);
        } else {
            Export.bytes(file, pdf(cards, paper));
        }
    }

    private static byte[] pdf(List<PitCard> cards, Paper paper) {
        PdfPen pen = new PdfPen(paper.width(), paper.height());
        for (int i = 0; i < cards.size(); i++) {
            if (i > 0) {
                pen.nextPage();
            }
            new CardSheet(cards.get(i), paper).draw(pen);
        }
        return pen.pdf();
    }

    /** As it is printed, to be looked at. @param dpi points are 72 of an inch */
    public static BufferedImage image(PitCard card, Paper paper, float dpi) {
        return ChartFile.image(pdf(List.of(card), paper), dpi);
    }
}
