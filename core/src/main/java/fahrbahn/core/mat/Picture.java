package fahrbahn.core.mat;

import fahrbahn.core.check.Check;

/**
 * Pixels, row by row from the top left, each {@code 0xRRGGBB}. The array is kept, not copied: it may be fifty megabytes.
 *
 * @param scaledFrom longest side of the file it was made from, when that was larger; else 0
 */
public record Picture(int columns, int rows, int[] rgb, int scaledFrom) {
    /** What a small laptop has memory for, three times over. */
    public static final int MOST_PIXELS = 12_000_000;

    public Picture {
        Check.require(columns > 0 && rows > 0, "picture", (double) columns * rows, "at least one pixel");
        Check.require(
                (long) columns * rows <= MOST_PIXELS && rgb.length == columns * rows,
                "picture",
                (double) columns * rows,
                "at most " + MOST_PIXELS + " pixels");
    }

    public int at(int column, int row) {
        return rgb[row * columns + column];
    }

    /** The mean colour of the pixels around one, which a lone speck does not decide. */
    public int around(int column, int row, int reach) {
        long red = 0;
        long green = 0;
        long blue = 0;
        int count = 0;
        for (int r = Math.max(0, row - reach); r <= Math.min(rows - 1, row + reach); r++) {
            for (int c = Math.max(0, column - reach); c <= Math.min(columns - 1, column + reach); c++) {
                int pixel = at(c, r);
                red += pixel >> 16 & 0xff;
                green += pixel >> 8 & 0xff;
                blue += pixel & 0xff;
                count++;
            }
        }
        return (int) (red / count) << 16 | (int) (green / count) << 8 | (int) (blue / count);
    }
}
