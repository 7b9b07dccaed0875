package fahrbahn.app.drive.run;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.ImageIO;

/** A picture as the bytes of a PNG. */
final class PictureBytes {
    private PictureBytes() {}

    static byte[] png(BufferedImage picture) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try {
            ImageIO.write(picture, "png", bytes);
        } catch (IOException never) {
            throw new UncheckedIOException(never); // it is written into memory
        }
        return bytes.toByteArray();
    }
}
