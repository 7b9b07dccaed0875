package fahrbahn.app.drive.view;

import fahrbahn.core.review.PathDensity;
import javafx.scene.image.Image;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;

/** Where many runs went, as pixels to lie on a table: the more passes, the less is seen of the table. By the logarithm, so that one lost run shows. */
final class DensityPicture {
    private static final double LEAST_COVER = 0.3;
    private static final double MOST_COVER = 0.95;

    private DensityPicture() {}

    /** Its first row is the far side of the table. */
    static Image of(PathDensity passes, Color ink) {
        int columns = passes.columns();
        int rows = passes.rows();
        double most = Math.log1p(Math.max(1, passes.most()));
        int rgb = (int) Math.round(255 * ink.getRed()) << 16
                | (int) Math.round(255 * ink.getGreen()) << 8
                | (int) Math.round(255 * ink.getBlue());
        int[] argb = new int[columns * rows];
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                int times = passes.passes(column, rows - 1 - row);
                if (times > 0) {
                    double cover = LEAST_COVER + (MOST_COVER - LEAST_COVER) * Math.log1p(times) / most;
                    argb[row * columns + column] = (int) Math.round(255 * cover) << 24 | rgb;
                }
            }
        }
        WritableImage image = new WritableImage(columns, rows);
        image.getPixelWriter().setPixels(0, 0, columns, rows, PixelFormat.getIntArgbInstance(), argb, 0, columns);
        return image;
    }
}
