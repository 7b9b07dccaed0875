package fahrbahn.store.picture;

import fahrbahn.core.mat.PackedPicture;
import fahrbahn.core.mat.Picture;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.Shared;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import javax.imageio.ImageIO;

/**
 * A picture made ready to be kept: a PNG of at most {@link PackedPicture#MOST_BYTES}, for which a large one is scaled down. May take a
 * second or two.
 *
 * @param picture as it will be read again
 * @param packed its bytes
 * @param id told by the bytes alone
 */
public record PicturePack(Picture picture, PackedPicture packed, String id) {
    private static final double SMALLER = 0.75;

    public static PicturePack of(Picture picture) {
        BufferedImage image = image(picture);
        int scaledFrom = picture.scaledFrom();
        while (true) {
            byte[] png = png(image);
            if (png.length <= PackedPicture.MOST_BYTES) {
                return new PicturePack(
                        PictureDecoder.picture(image, scaledFrom), new PackedPicture(png), Shared.print(png));
            }
            scaledFrom = scaledFrom == 0 ? Math.max(picture.columns(), picture.rows()) : scaledFrom;
            image = scaled(image, SMALLER);
        }
    }

    /** @throws BadFileException when it is no picture any more */
    public static Picture unpack(PackedPicture packed) throws BadFileException {
        try {
            BufferedImage image = ImageIO.read(new ByteArrayInputStream(packed.png()));
            if (image == null) {
                throw new BadFileException("The mat's picture is damaged. Import it again");
            }
            return PictureDecoder.picture(image, 0);
        } catch (IOException | IllegalArgumentException damaged) {
            throw new BadFileException("The mat's picture is damaged. Import it again", damaged);
        }
    }

    static BufferedImage image(Picture picture) {
        BufferedImage image = new BufferedImage(picture.columns(), picture.rows(), BufferedImage.TYPE_INT_RGB);
        image.setRGB(0, 0, picture.columns(), picture.rows(), picture.rgb(), 0, picture.columns());
        return image;
    }

    private static byte[] png(BufferedImage image) {
        return written(image, "png");
    }

    static byte[] written(BufferedImage image, String format) {
        try {
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            ImageIO.write(image, format, bytes);
            return bytes.toByteArray();
        } catch (IOException impossible) {
            throw new IllegalStateException("memory can be written", impossible);
        }
    }

    static BufferedImage scaled(BufferedImage image, double share) {
        int columns = Math.max(1, (int) (image.getWidth() * share));
        int rows = Math.max(1, (int) (image.getHeight() * share));
        BufferedImage scaled = new BufferedImage(columns, rows, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = scaled.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        g.drawImage(image, 0, 0, columns, rows, null);
        g.dispose();
        return scaled;
    }
}
