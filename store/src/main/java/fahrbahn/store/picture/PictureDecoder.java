package fahrbahn.store.picture;

import fahrbahn.core.check.Text;
import fahrbahn.core.mat.Picture;
import fahrbahn.store.file.BadFileException;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.zip.GZIPInputStream;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/**
 * Reads a picture of a mat: PNG, JPEG, SVG or the first page of a PDF. A larger one than {@link Picture#MOST_PIXELS} is scaled down
 * while it is read, so that it never fills the memory; one that cannot be is refused. May take as long as the file wants it to: see
 * {@link PictureFile} for reading with an end.
 */
final class PictureDecoder {
    /** Even to be scaled down, a picture has to be read through; beyond this it is a mistake. */
    private static final long MOST_SOURCE_PIXELS = 400_000_000L;

    /** Readers of SVG and PDF hold the whole file. */
    private static final long MOST_DRAWING_BYTES = 64L << 20;

    private PictureDecoder() {}

    /** @throws BadFileException naming the file, what is wrong and what to do */
    static PictureFile read(Path file) throws BadFileException {
        String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
        try {
            if (!Files.isRegularFile(file)) {
                throw new BadFileException(file + ": there is no such file. Check the name and the folder");
            }
            if (name.endsWith(".svg") || name.endsWith(".svgz") || name.endsWith(".pdf")) {
                if (Files.size(file) > MOST_DRAWING_BYTES) {
                    throw new BadFileException(file + ": " + (Files.size(file) >> 20)
                            + " MB is too large for a drawing; save the mat as PNG and import that");
                }
                byte[] bytes = Files.readAllBytes(file);
                return name.endsWith(".pdf") ? PdfPicture.read(bytes) : SvgPicture.read(unpacked(bytes));
            }
            return pixels(file);
        } catch (IOException unreadable) {
            throw new BadFileException(
                    file + ": cannot be read (" + unreadable.getMessage() + "). A PNG, JPEG, SVG or PDF was expected",
                    unreadable);
        } catch (BadFileException bad) {
            throw bad.getMessage().startsWith(file.toString())
                    ? bad
                    : new BadFileException(file + ": " + bad.getMessage(), bad);
        }
    }

    /** A drawing that is packed, unpacked within the bound; as it is when it is not. */
    private static byte[] unpacked(byte[] bytes) throws IOException, BadFileException {
        boolean packed = bytes.length > 2 && (bytes[0] & 0xff) == 0x1f && (bytes[1] & 0xff) == 0x8b;
        if (!packed) {
            return bytes;
        }
        try (InputStream in = new GZIPInputStream(new ByteArrayInputStream(bytes))) {
            byte[] plain = in.readNBytes((int) MOST_DRAWING_BYTES + 1);
            if (plain.length > MOST_DRAWING_BYTES) {
                throw new BadFileException("unpacked, more than " + (MOST_DRAWING_BYTES >> 20)
                        + " MB: too large for a drawing; save the mat as PNG and import that");
            }
            return plain;
        }
    }

    private static PictureFile pixels(Path file) throws IOException, BadFileException {
        try (ImageInputStream in = ImageIO.createImageInputStream(file.toFile())) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw new BadFileException("not a picture; a PNG, JPEG, SVG or PDF was expected");
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in, true, true);
                return read(reader);
            } catch (IllegalArgumentException | IndexOutOfBoundsException | NegativeArraySizeException damaged) {
                throw new BadFileException(
                        "the picture is damaged (" + damaged.getMessage() + "). Save it again", damaged);
            } finally {
                reader.dispose();
            }
        }
    }

    private static PictureFile read(ImageReader reader) throws IOException, BadFileException {
        int columns = reader.getWidth(0);
        int rows = reader.getHeight(0);
        long pixels = (long) columns * rows;
        if (pixels > MOST_SOURCE_PIXELS) {
            throw new BadFileException(Text.of(
                    "%d x %d is %d million pixels; at most %d million can be read. Save it smaller: one pixel a millimetre is enough",
                    columns, rows, pixels / 1_000_000, MOST_SOURCE_PIXELS / 1_000_000));
        }
        ImageReadParam how = reader.getDefaultReadParam();
        int every = (int) Math.ceil(Math.sqrt((double) pixels / Picture.MOST_PIXELS));
        // Rounding up of both sides could make it a row too many.
        while ((columns + every - 1L) / every * ((rows + every - 1L) / every) > Picture.MOST_PIXELS) {
            every++;
        }
        how.setSourceSubsampling(every, every, 0, 0);
        BufferedImage image = reader.read(0, how);
        return new PictureFile(picture(image, every > 1 ? Math.max(columns, rows) : 0), OptionalDouble.empty());
    }

    /** What is transparent is taken for white paper. */
    static Picture picture(BufferedImage image, int scaledFrom) {
        int columns = image.getWidth();
        int rows = image.getHeight();
        int[] rgb = image.getRGB(0, 0, columns, rows, null, 0, columns);
        for (int i = 0; i < rgb.length; i++) {
            int alpha = rgb[i] >>> 24;
            rgb[i] = alpha == 255 ? rgb[i] & 0xffffff : onPaper(rgb[i], alpha);
        }
        return new Picture(columns, rows, rgb, scaledFrom);
    }

    private static int onPaper(int argb, int alpha) {
        int mixed = 0;
        for (int shift = 16; shift >= 0; shift -= 8) {
            mixed |= (255 + ((argb >> shift & 0xff) - 255) * alpha / 255) << shift;
        }
        return mixed;
    }
}
