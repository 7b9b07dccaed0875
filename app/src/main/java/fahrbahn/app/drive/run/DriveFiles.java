package fahrbahn.app.drive.run;

import fahrbahn.app.errand.Errand;
import fahrbahn.pen.ChartFile;
import fahrbahn.pen.Sheet;
import fahrbahn.store.exchange.TracesFile;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.Export;
import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.util.List;

/** Writes what Drive shows, in the background. */
public final class DriveFiles {
    private final Errand<Boolean> errand;

    public DriveFiles(Errand<Boolean> errand) {
        this.errand = errand;
    }

    /** Every tick of a run as CSV. */
    public void traces(Path file, Drive run) {
        write(() -> TracesFile.write(file, run.trace(), run.setup()));
    }

    /** Drawings, one below the other, as PDF or SVG by the ending of the name. */
    public void drawing(Path file, List<Sheet> sheets) {
        write(() -> ChartFile.write(sheets, file));
    }

    /** What was seen, as PNG. */
    public void picture(Path file, BufferedImage seen) {
        write(() -> Export.bytes(file, PictureBytes.png(seen)));
    }

    private interface Writing {
        void run() throws BadFileException;
    }

    private void write(Writing writing) {
        errand.run(
                job -> {
                    writing.run();
                    return true;
                },
                done -> {});
    }
}
