package fahrbahn.pen;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.pdmodel.PDDocument;

/** The font of everything on paper, Liberation Sans as PDFBox brings it: as wide as Helvetica and Arial, and it has the letters of most of Europe. */
final class PaperFont {
    private static final String RESOURCE = "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf";
    private static final TrueTypeFont FONT = load();
    private static final CmapLookup GLYPHS = glyphs();

    private PaperFont() {}

    private static TrueTypeFont load() {
        try (InputStream font = open()) {
            return new TTFParser().parse(new RandomAccessReadBuffer(font));
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible); // it lies in a library of ours
        }
    }

    private static CmapLookup glyphs() {
        try {
            return FONT.getUnicodeCmapLookup();
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }

    static InputStream open() {
        return PDDocument.class.getResourceAsStream(RESOURCE);
    }

    /** How wide words stand. */
    static synchronized double width(String words, double size) {
        try {
            double wide = 0;
            for (int letter : words.codePoints().toArray()) {
                wide += FONT.getAdvanceWidth(GLYPHS.getGlyphId(letter));
            }
            return wide / FONT.getUnitsPerEm() * size;
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }

    /** The same words with a question mark for each letter that the font has not. */
    static synchronized String known(String words) {
        StringBuilder known = new StringBuilder();
        words.codePoints().forEach(letter -> known.appendCodePoint(GLYPHS.getGlyphId(letter) == 0 ? '?' : letter));
        return known.toString();
    }
}
