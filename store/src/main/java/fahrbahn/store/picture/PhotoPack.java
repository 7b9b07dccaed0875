package fahrbahn.store.picture;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.mat.Picture;
import fahrbahn.core.trials.Photo;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.Documents;
import fahrbahn.store.json.Fields;
import fahrbahn.store.json.Shared;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Base64;
import javax.imageio.ImageIO;

/**
 * A photograph made ready to be kept: a JPEG of at most {@link Photo#MOST_BYTES}, for which a large one is scaled down.
 *
 * @param id told by the bytes alone
 */
public record PhotoPack(Photo photo, String id) {
    /** As wide as it is ever shown, twice over for sharp screens. */
    private static final int MOST_SIDE_PX = 1280;

    private static final double SMALLER = 0.75;

    /** May take a moment. */
    public static PhotoPack of(Picture picture) {
        int longer = Math.max(picture.columns(), picture.rows());
        double scale = Math.min(1, (double) MOST_SIDE_PX / longer);
        BufferedImage image = PicturePack.image(picture);
        byte[] jpeg;
        do {
            jpeg = PicturePack.written(PicturePack.scaled(image, scale), "jpeg");
            scale *= SMALLER;
        } while (jpeg.length > Photo.MOST_BYTES);
        return new PhotoPack(new Photo(jpeg), Shared.print(jpeg));
    }

    /** @throws BadFileException when it is no picture any more */
    public static Picture unpack(Photo photo) throws BadFileException {
        try {
            BufferedImage image = ImageIO.read(new ByteArrayInputStream(photo.jpeg()));
            if (image == null) {
                throw new BadFileException("The photograph is damaged. Add it again");
            }
            return PictureDecoder.picture(image, 0);
        } catch (IOException | IllegalArgumentException damaged) {
            throw new BadFileException("The photograph is damaged. Add it again", damaged);
        }
    }

    public static String write(Photo photo) {
        return Fields.JSON
                .createObjectNode()
                .put("jpeg", Base64.getEncoder().encodeToString(photo.jpeg()))
                .toString();
    }

    public static Photo parse(String json) throws BadFileException {
        return Documents.parse(json, root -> {
            try {
                return new Photo(Base64.getDecoder().decode(root.text("jpeg")));
            } catch (IllegalArgumentException broken) {
                throw new BadValueException("jpeg", "broken", "a photograph in base 64");
            }
        });
    }
}
