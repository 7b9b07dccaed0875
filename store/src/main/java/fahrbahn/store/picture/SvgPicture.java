package fahrbahn.store.picture;

import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.parser.DocumentLimits;
import com.github.weisj.jsvg.parser.LoaderContext;
import com.github.weisj.jsvg.parser.SVGLoader;
import com.github.weisj.jsvg.parser.resources.ResourcePolicy;
import com.github.weisj.jsvg.view.FloatSize;
import com.github.weisj.jsvg.view.ViewBox;
import fahrbahn.core.mat.Picture;
import fahrbahn.store.file.BadFileException;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** An SVG drawing as a picture. It may not fetch anything from elsewhere, nor nest without end. */
public final class SvgPicture {
    private static final int MOST_NESTING = 20;
    private static final int MOST_USES = 8;
    private static final int MOST_PATHS = 20_000;

    /** Longest side of the picture, pixels: one a millimetre on the largest mats. */
    private static final double USUAL_SIDE = 3000;

    private static final Pattern ROOT = Pattern.compile("<svg\\b[^>]*>");
    private static final Pattern WIDTH =
            Pattern.compile("\\bwidth\\s*=\\s*[\"']\\s*([0-9.]+)\\s*(mm|cm|in|px|)\\s*[\"']");

    private SvgPicture() {}

    public static PictureFile read(byte[] bytes) throws BadFileException {
        return read(bytes, USUAL_SIDE);
    }

    /** @param side longest side of the picture, pixels */
    public static PictureFile read(byte[] bytes, double side) throws BadFileException {
        try {
            LoaderContext context = LoaderContext.builder()
                    .externalResourcePolicy(ResourcePolicy.DENY_ALL)
                    .documentLimits(new DocumentLimits(MOST_NESTING, MOST_USES, MOST_PATHS))
                    .build();
            SVGDocument document = new SVGLoader().load(new ByteArrayInputStream(bytes), null, context);
            if (document == null) {
                throw new BadFileException("not an SVG drawing");
            }
            FloatSize size = document.size();
            if (!(size.width > 0 && size.height > 0 && size.width < 1e7 && size.height < 1e7)) {
                throw new BadFileException(
                        "the drawing is %s x %s; it must have a size".formatted(size.width, size.height));
            }
            double most = Math.sqrt(0.98 * Picture.MOST_PIXELS / ((double) size.width * size.height));
            double scale = Math.min(most, side / Math.max(size.width, size.height));
            return new PictureFile(PictureDecoder.picture(drawn(document, size, scale), 0), widthMm(bytes));
        } catch (RuntimeException | StackOverflowError damaged) {
            throw new BadFileException(
                    "not an SVG drawing that can be read (" + damaged.getMessage()
                            + "). Save it again, or import a PNG",
                    damaged);
        }
    }

    private static BufferedImage drawn(SVGDocument document, FloatSize size, double scale) {
        int columns = Math.max(1, (int) Math.floor(size.width * scale));
        int rows = Math.max(1, (int) Math.floor(size.height * scale));
        BufferedImage image = new BufferedImage(columns, rows, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        try {
            g.setColor(Color.WHITE);
            g.fillRect(0, 0, columns, rows);
            g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
            g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
            document.render((java.awt.Component) null, g, new ViewBox(0, 0, columns, rows));
        } finally {
            g.dispose();
        }
        return image;
    }

    /** The width the root element states; a bare number is a pixel, 96 to the inch. */
    private static OptionalDouble widthMm(byte[] bytes) {
        String start = new String(bytes, 0, Math.min(bytes.length, 8192), StandardCharsets.UTF_8);
        Matcher root = ROOT.matcher(start);
        if (!root.find()) {
            return OptionalDouble.empty();
        }
        Matcher width = WIDTH.matcher(root.group());
        if (!width.find()) {
            return OptionalDouble.empty();
        }
        try {
            double value = Double.parseDouble(width.group(1));
            double unit = switch (width.group(2)) {
                case "mm" -> 1;
                case "cm" -> 10;
                case "in" -> 25.4;
                default -> 25.4 / 96;
            };
            return value > 0 ? OptionalDouble.of(value * unit) : OptionalDouble.empty();
        } catch (NumberFormatException notANumber) {
            return OptionalDouble.empty();
        }
    }
}
