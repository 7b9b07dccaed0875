package fahrbahn.app.chart;

import fahrbahn.store.BadFileException;
import fahrbahn.store.Export;
import java.nio.file.Path;
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
        if (file.getFileName().toString().toLowerCase(Locale.ROOT).endsWith(".svg")) {
            SvgPen pen = new SvgPen(VectorSheet.WIDTH, VectorSheet.HEIGHT);
            VectorSheet.draw(chart, pen);
            Export.text(file, pen.svg());
        } else {
            PdfPen pen = new PdfPen(VectorSheet.WIDTH, VectorSheet.HEIGHT);
            VectorSheet.draw(chart, pen);
            Export.bytes(file, pen.pdf());
        }
    }
}
