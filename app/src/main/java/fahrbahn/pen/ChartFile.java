package fahrbahn.pen;

import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.Export;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;

/** A chart as a file of vectors. */
public final class ChartFile {
    /** Read at arm's length and printed well. */
    private static final float PNG_DPI = 200;

    private ChartFile() {}

    /**
     * SVG when the name ends in .svg, PNG when it ends in .png, else PDF.
     *
     * @throws BadFileException when it cannot be written; what was there is there still
     */
    public static void write(Chart chart, Path file) throws BadFileException {
        write(List.of(Sheet.of(chart)), file);
    }

    /** The same of several, one below the other. */
    public static void write(List<Sheet> sheets, Path file) throws BadFileException {
        double width = sheets.stream().mapToDouble(Sheet::width).max().orElseThrow();
        double height = sheets.stream().mapToDouble(Sheet::height).sum();
        String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
        if (name.endsWith(".svg")) {
            SvgPen pen = new SvgPen(width, height);
            draw(sheets, pen);
            Export.text(file, pen.svg());
            return;
        }
        PdfPen pen = new PdfPen(width, height);
        draw(sheets, pen);
        Export.bytes(file, name.endsWith(".png") ? png(image(pen.pdf(), PNG_DPI)) : pen.pdf());
    }

    /** The first page of a document as it is printed. @param dpi points are 72 of an inch */
    public static BufferedImage image(byte[] pdf, float dpi) {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFRenderer(document).renderImageWithDPI(0, dpi, ImageType.RGB);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible); // it was written a moment ago
        }
    }

    private static byte[] png(BufferedImage image) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", bytes);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible); // into memory
        }
        return bytes.toByteArray();
    }

    private static void draw(List<Sheet> sheets, Pen pen) {
        double top = 0;
        for (Sheet sheet : sheets) {
            sheet.draw(PlacedPen.at(pen, 0, top));
            top += sheet.height();
        }
    }
}
