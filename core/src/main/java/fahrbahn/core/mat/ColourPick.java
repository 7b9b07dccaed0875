package fahrbahn.core.mat;

import java.util.ArrayList;
import java.util.List;

/**
 * The colour that was meant by pointing at a place: of the one or two colours in its neighbourhood, the one nearer to what lies there.
 * Pixels between the two, where an edge is smoothed, have no say; so a pixel or two beside the middle of a line finds the line's own
 * colour still.
 */
final class ColourPick {
    /** Pixels looked at to each side: past the smoothed edge of any picture. */
    private static final int REACH = 6;

    /** Clusters nearer than this, of 441 from black to white, are one colour with its noise. */
    private static final double ONE_COLOUR = 40;

    /** Of the way between two colours: further in than this belongs to an edge. */
    private static final double OWN_SHARE = 0.25;

    private static final int ROUNDS = 8;

    private ColourPick() {}

    static int at(Picture picture, int column, int row) {
        List<double[]> near = new ArrayList<>();
        for (int r = Math.max(0, row - REACH); r <= Math.min(picture.rows() - 1, row + REACH); r++) {
            for (int c = Math.max(0, column - REACH); c <= Math.min(picture.columns() - 1, column + REACH); c++) {
                near.add(colour(picture.at(c, r)));
            }
        }
        double[] clicked = colour(picture.around(column, row, 1));
        double[] one = farthest(near, mean(near));
        double[] other = farthest(near, one);
        for (int round = 0; round < ROUNDS; round++) {
            List<double[]> ones = new ArrayList<>();
            List<double[]> others = new ArrayList<>();
            for (double[] pixel : near) {
                double share = share(pixel, one, other);
                if (share < OWN_SHARE) {
                    ones.add(pixel);
                } else if (share > 1 - OWN_SHARE) {
                    others.add(pixel);
                }
            }
            one = ones.isEmpty() ? one : mean(ones);
            other = others.isEmpty() ? other : mean(others);
        }
        if (Math.sqrt(squared(one, other)) < ONE_COLOUR) {
            return rgb(mean(near));
        }
        return rgb(share(clicked, one, other) < 0.5 ? one : other);
    }

    /** How far along the way from one colour to another; 0 at the one, 1 at the other. */
    private static double share(double[] pixel, double[] one, double[] other) {
        double dot = 0;
        double length = 0;
        for (int i = 0; i < 3; i++) {
            dot += (pixel[i] - one[i]) * (other[i] - one[i]);
            length += (other[i] - one[i]) * (other[i] - one[i]);
        }
        return length == 0 ? 0 : dot / length;
    }

    private static double[] farthest(List<double[]> pixels, double[] from) {
        double[] farthest = from;
        for (double[] pixel : pixels) {
            farthest = squared(pixel, from) > squared(farthest, from) ? pixel : farthest;
        }
        return farthest;
    }

    private static double squared(double[] a, double[] b) {
        return (a[0] - b[0]) * (a[0] - b[0]) + (a[1] - b[1]) * (a[1] - b[1]) + (a[2] - b[2]) * (a[2] - b[2]);
    }

    private static double[] mean(List<double[]> pixels) {
        double[] sum = new double[3];
        for (double[] pixel : pixels) {
            for (int i = 0; i < 3; i++) {
                sum[i] += pixel[i] / pixels.size();
            }
        }
        return sum;
    }

    private static double[] colour(int rgb) {
        return new double[] {rgb >> 16 & 0xff, rgb >> 8 & 0xff, rgb & 0xff};
    }

    private static int rgb(double[] colour) {
        return (int) Math.round(colour[0]) << 16 | (int) Math.round(colour[1]) << 8 | (int) Math.round(colour[2]);
    }
}
