package fahrbahn.pen;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** Writes a PDF page. A point of the page is a unit of the pen. */
public final class PdfPen implements Pen {
    private static final float FONT_SIZE = 12;
    private static final float[] SOLID = {};

    private final double height;
    private final PDDocument document = new PDDocument();
    private final PDFont font = font();
    private final double width;
    private PDPageContentStream page;

    public PdfPen(double width, double height) {
        this.width = width;
        this.height = height;
        page = begun();
    }

    private PDFont font() {
        try (InputStream file = PaperFont.open()) {
            return PDType0Font.load(document, file, true);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible); // a font in memory
        }
    }

    private PDPageContentStream begun() {
        try {
            PDPage sheet = new PDPage(new PDRectangle((float) width, (float) height));
            document.addPage(sheet);
            return new PDPageContentStream(document, sheet);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible); // a page in memory
        }
    }

    /** Another page of the same size; what is drawn from now on is on it. */
    public void nextPage() {
        draw(page::close);
        page = begun();
    }

    private interface Drawing {
        void draw() throws IOException;
    }

    private static void draw(Drawing drawing) {
        try {
            drawing.draw();
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }

    private void path(double[] x, double[] y) throws IOException {
        for (int i = 0; i < x.length; i++) {
            if (i == 0) {
                page.moveTo((float) x[i], (float) (height - y[i]));
            } else {
                page.lineTo((float) x[i], (float) (height - y[i]));
            }
        }
    }

    @Override
    public void line(Stroke stroke, double[] x, double[] y) {
        float[] dashes = new float[stroke.dashes().length];
        for (int i = 0; i < dashes.length; i++) {
            dashes[i] = (float) stroke.dashes()[i];
        }
        draw(() -> {
            page.setStrokingColor(new java.awt.Color(PrintInks.rgb(stroke.ink())));
            page.setLineWidth((float) stroke.width());
            page.setLineDashPattern(dashes, 0);
            path(x, y);
            page.stroke();
            page.setLineDashPattern(SOLID, 0);
        });
    }

    @Override
    public void area(String ink, double[] x, double[] y) {
        draw(() -> {
            page.setNonStrokingColor(new java.awt.Color(PrintInks.rgb(ink)));
            path(x, y);
            page.fill();
        });
    }

    @Override
    public void dot(String ink, double x, double y, double radius) {
        double[][] round = Shapes.circle(x, y, radius);
        area(ink, round[0], round[1]);
    }

    @Override
    public double width(String words) {
        return PaperFont.width(words, FONT_SIZE);
    }

    @Override
    public void text(String ink, String words, double x, double y, Anchor anchor, double times) {
        draw(() -> {
            String known = PaperFont.known(words);
            double wide = width(known, times);
            double left = switch (anchor) {
                case LEFT -> x;
                case MIDDLE -> x - wide / 2;
                case RIGHT -> x - wide;
            };
            page.setNonStrokingColor(new java.awt.Color(PrintInks.rgb(ink)));
            page.beginText();
            page.setFont(font, (float) (times * FONT_SIZE));
            page.newLineAtOffset((float) left, (float) (height - y));
            page.showText(known);
            page.endText();
        });
    }

    /** The page, finished; nothing can be drawn after. */
    public byte[] pdf() {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        draw(() -> {
            page.close();
            document.save(bytes);
            document.close();
        });
        return bytes.toByteArray();
    }
}
