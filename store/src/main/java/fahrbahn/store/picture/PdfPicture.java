package fahrbahn.store.picture;

import fahrbahn.core.check.Text;
import fahrbahn.core.mat.Picture;
import fahrbahn.store.file.BadFileException;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.OptionalDouble;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;

/** The first page of a PDF as a picture, at the size it says. */
final class PdfPicture {
    private static final double MM_PER_POINT = 25.4 / 72;

    /** Finer than half a millimetre no sensor sees. */
    private static final double PIXELS_PER_MM = 2;

    private PdfPicture() {}

    static PictureFile read(byte[] bytes) throws BadFileException {
        try (PDDocument document = Loader.loadPDF(bytes)) {
            if (document.getNumberOfPages() == 0) {
                throw new BadFileException("the PDF has no page");
            }
            PDPage page = document.getPage(0);
            boolean turned = page.getRotation() % 180 != 0;
            double width =
                    turned ? page.getCropBox().getHeight() : page.getCropBox().getWidth();
            double height =
                    turned ? page.getCropBox().getWidth() : page.getCropBox().getHeight();
            if (!(width >= 1 && height >= 1 && width < 1e6 && height < 1e6)) {
                throw new BadFileException(
                        Text.of("the page is %.0f x %.0f points; nothing of that size is a mat", width, height));
            }
            double wanted = PIXELS_PER_MM * MM_PER_POINT;
            double most = Math.sqrt(0.98 * Picture.MOST_PIXELS / (width * height));
            float scale = (float) Math.min(wanted, most);
            BufferedImage image = new PDFRenderer(document).renderImage(0, scale, ImageType.RGB);
            int scaledFrom = most < wanted ? (int) (Math.max(width, height) * wanted) : 0;
            return new PictureFile(PictureDecoder.picture(image, scaledFrom), OptionalDouble.of(width * MM_PER_POINT));
        } catch (IOException | RuntimeException damaged) {
            throw new BadFileException(
                    "not a PDF that can be read (" + damaged.getMessage() + "). Save it again, or import a PNG",
                    damaged);
        }
    }
}
