package fahrbahn.pen;

import fahrbahn.store.BadFileException;
import fahrbahn.store.Export;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;

/** A chart as a file of vectors. */
public final class ChartFile {
    private ChartFile() {}

    /**
     * SVG when the name ends in .svg, else PDF.
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
        if (file.getFileName().toString().toLowerCase(Locale.ROOT).endsWith(".svg")) {
            SvgPen pen = new SvgPen(width, height);
            draw(sheets, pen);
            Export.text(file, pen.svg());
        } else {
            PdfPen pen = new PdfPen(width, height);
            draw(sheets, pen);
            Export.bytes(file, pen.pdf());
        }
    }

    private static void draw(List<Sheet> sheets, Pen pen) {
        double top = 0;
        for (Sheet sheet : sheets) {
            sheet.draw(PlacedPen.at(pen, 0, top));
            top += sheet.height();
        }
    }
}
