package fahrbahn.app.chart;

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
        write(List.of(chart), file);
    }

    /** The same of several, one below the other. */
    public static void write(List<Chart> charts, Path file) throws BadFileException {
        double height = charts.size() * VectorSheet.HEIGHT;
        if (file.getFileName().toString().toLowerCase(Locale.ROOT).endsWith(".svg")) {
            SvgPen pen = new SvgPen(VectorSheet.WIDTH, height);
            draw(charts, pen);
            Export.text(file, pen.svg());
        } else {
            PdfPen pen = new PdfPen(VectorSheet.WIDTH, height);
            draw(charts, pen);
            Export.bytes(file, pen.pdf());
        }
    }

    private static void draw(List<Chart> charts, Pen pen) {
        for (int i = 0; i < charts.size(); i++) {
            VectorSheet.draw(charts.get(i), PlacedPen.at(pen, 0, i * VectorSheet.HEIGHT));
        }
    }
}
