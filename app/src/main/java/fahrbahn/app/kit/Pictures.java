package fahrbahn.app.kit;

import fahrbahn.core.mat.Picture;
import javafx.scene.image.Image;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;

/** Pictures for the screen. */
public final class Pictures {
    /** More pixels than the screen has only cost time to draw. */
    private static final int MOST_COLUMNS = 1600;

    private Pictures() {}

    /** Every so-manieth pixel is enough for the screen. */
    public static Image image(Picture picture) {
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
