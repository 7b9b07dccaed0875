package fahrbahn.app.table;

import fahrbahn.app.chart.Ink;
import fahrbahn.core.mat.Picture;
import fahrbahn.core.mat.Traced;
import fahrbahn.core.table.Pose;
import java.util.Optional;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;

/** The picture of a mat with its followed line. */
final class MatCanvas extends TableCanvas {
    /** More pixels than the screen has only cost time to draw. */
    private static final int MOST_COLUMNS = 1600;

    private final MatModel model;
    private final Ink trail = ink("ink-advice");
    private final Ink mark = ink("ink-stop");
    private final Ink text = ink("ink-text");
    private Picture shown;
    private Image image;

    /** Where on the mat was clicked, mm. */
    interface Pointed {
        void at(double xMm, double yMm);
    }

    MatCanvas(MatModel model, Pointed pointed) {
        super("The picture of the mat; click to point at line, ground and beginning");
        this.model = model;
        setId("matCanvas");
        setCursor(Cursor.CROSSHAIR);
        setOnMouseClicked(e -> {
            requestFocus();
            pointed.at(xMm(e.getX()), yMm(e.getY()));
        });
    }

    @Override
    double tableWidthMm() {
        return model.importedProperty().get().map(MatModel.Imported::widthMm).orElse(2400.0);
    }

    @Override
    double tableHeightMm() {
        return model.importedProperty().get().map(MatModel.Imported::heightMm).orElse(1200.0);
    }

    @Override
    protected void paint(GraphicsContext g) {
        Optional<MatModel.Imported> mat = model.importedProperty().get();
        if (mat.isEmpty()) {
            g.setStroke(text.paint());
            g.setLineDashes(8, 8);
            g.strokeRect(px(0), py(tableHeightMm()), scale() * tableWidthMm(), scale() * tableHeightMm());
            g.setLineDashes();
            return;
        }
        if (shown != mat.get().picture()) {
            shown = mat.get().picture();
            image = image(shown);
        }
        g.drawImage(image, px(0), py(tableHeightMm()), scale() * tableWidthMm(), scale() * tableHeightMm());
        model.tracedProperty().get().ifPresent(line -> paint(g, line));
    }

    private void paint(GraphicsContext g, Traced line) {
        g.setStroke(trail.paint());
        g.setLineWidth(3);
        g.beginPath();
        for (Pose point : line.points()) {
            g.lineTo(px(point.xMm()), py(point.yMm()));
        }
        g.stroke();
        Pose start = line.points().get(0);
        g.strokeOval(px(start.xMm()) - 7, py(start.yMm()) - 7, 14, 14);
        if (line.tightestAt() != null) {
            double x = px(line.tightestAt().xMm());
            double y = py(line.tightestAt().yMm());
            g.setStroke(mark.paint());
            g.strokeOval(x - 10, y - 10, 20, 20);
            g.setFill(mark.paint());
            g.fillText("tightest", x + 12, y + 24);
        }
    }

    /** Every so-manieth pixel is enough for the screen. */
    static Image image(Picture picture) {
        int every = Math.max(1, picture.columns() / MOST_COLUMNS);
        int columns = picture.columns() / every;
        int rows = Math.max(1, picture.rows() / every);
        int[] argb = new int[columns * rows];
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                argb[row * columns + column] = 0xff000000 | picture.at(column * every, row * every);
            }
        }
        WritableImage image = new WritableImage(columns, rows);
        image.getPixelWriter().setPixels(0, 0, columns, rows, PixelFormat.getIntArgbInstance(), argb, 0, columns);
        return image;
    }
}
