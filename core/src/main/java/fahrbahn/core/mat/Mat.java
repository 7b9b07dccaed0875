package fahrbahn.core.mat;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.colour.Channel;
import fahrbahn.core.raster.Raster;
import fahrbahn.core.raster.TableTop;
import fahrbahn.core.setup.Line;

/**
 * A picture of a mat with its size, and the colours of line and ground on it.
 *
 * @param widthMm of the whole picture; its height follows, pixels being square
 * @param lineRgb colour of the line, {@code 0xRRGGBB}
 * @param groundRgb colour of the ground
 */
public record Mat(String name, Picture picture, double widthMm, int lineRgb, int groundRgb) implements TableTop {
    private static final double LARGEST_MM = 100_000;

    /** Colours nearer to each other than this, of 441 from black to white, are not two. */
    private static final double LEAST_CONTRAST = 40;

    public Mat {
        Check.text("name", name, "the mat's name");
        checkWidth(widthMm);
        if (!(distance(lineRgb, groundRgb) >= LEAST_CONTRAST)) {
            throw new BadValueException(
                    "line and ground",
                    "%06x and %06x".formatted(lineRgb, groundRgb),
                    "clearly different: point at the line for one and beside it for the other");
        }
    }

    static void checkWidth(double widthMm) {
        Check.require(widthMm > 0 && widthMm <= LARGEST_MM, "widthMm", widthMm, "above 0, at most " + LARGEST_MM);
    }

    @Override
    public double heightMm() {
        return widthMm * picture.rows() / picture.columns();
    }

    /** Side of a pixel. */
    public double pixelMm() {
        return widthMm / picture.columns();
    }

    /** The colour meant by pointing at a place: the line's own, or the ground's, never a mix of both. */
    public static int colourAt(Picture picture, double widthMm, double xMm, double yMm) {
        double pixelMm = widthMm / picture.columns();
        int column = (int) Math.max(0, Math.min(picture.columns() - 1, xMm / pixelMm));
        int row = (int) Math.max(0, Math.min(picture.rows() - 1, picture.rows() - yMm / pixelMm));
        return ColourPick.at(picture, column, row);
    }

    /**
     * How much line each place shows: 0 the ground's colour, 1 the line's, others by where they lie between the two, held from -0.5 to
     * 1.5.
     */
    public Raster raster() {
        int columns = picture.columns();
        int rows = picture.rows();
        float[] cells = new float[columns * rows];
        double[] toLine = difference(lineRgb, groundRgb);
        double length = toLine[0] * toLine[0] + toLine[1] * toLine[1] + toLine[2] * toLine[2];
        int groundRed = groundRgb >> 16 & 0xff;
        int groundGreen = groundRgb >> 8 & 0xff;
        int groundBlue = groundRgb & 0xff;
        for (int row = 0; row < rows; row++) {
            int cell = (rows - 1 - row) * columns;
            for (int column = 0; column < columns; column++) {
                int pixel = picture.at(column, row);
                double share = (((pixel >> 16 & 0xff) - groundRed) * toLine[0]
                                + ((pixel >> 8 & 0xff) - groundGreen) * toLine[1]
                                + ((pixel & 0xff) - groundBlue) * toLine[2])
                        / length;
                cells[cell + column] = (float) Math.max(-0.5, Math.min(1.5, share));
            }
        }
        return Raster.of(columns, rows, pixelMm(), cells);
    }

    /** The picture says what line there is, and its colours are told apart in one way for all light. */
    @Override
    public Raster painted(Line line, Channel channel, double cellMm) {
        Raster printed = raster();
        return pixelMm() <= cellMm ? printed : printed.finer((int) Math.ceil(pixelMm() / cellMm));
    }

    private static double[] difference(int a, int b) {
        return new double[] {
            (a >> 16 & 0xff) - (b >> 16 & 0xff), (a >> 8 & 0xff) - (b >> 8 & 0xff), (a & 0xff) - (b & 0xff)
        };
    }

    private static double distance(int a, int b) {
        double[] d = difference(a, b);
        return Math.sqrt(d[0] * d[0] + d[1] * d[1] + d[2] * d[2]);
    }
}
