package fahrbahn.pen;

/** Outlines that pens draw as polygons: a row of x and a row of y each, the last point the first. */
public final class Shapes {
    /** Rounder than any screen or printer shows at the sizes drawn. */
    private static final int CORNERS = 32;

    private Shapes() {}

    static double[][] circle(double x, double y, double radius) {
        return arc(x, y, radius, 0, 2 * Math.PI);
    }

    /** @param fromRad counter-clockwise from the right, as seen, y downwards */
    static double[][] arc(double x, double y, double radius, double fromRad, double sweepRad) {
        double[][] points = new double[2][CORNERS + 1];
        for (int i = 0; i <= CORNERS; i++) {
            double angle = fromRad + sweepRad * i / CORNERS;
            points[0][i] = x + radius * Math.cos(angle);
            points[1][i] = y - radius * Math.sin(angle);
        }
        return points;
    }

    static double[][] rounded(double x, double y, double width, double height, double radius) {
        double r = Math.min(radius, Math.min(width, height) / 2);
        int quarter = CORNERS / 4;
        double[][] points = new double[2][4 * (quarter + 1) + 1];
        int count = 0;
        for (int corner = 0; corner < 4; corner++) {
            double middleX = corner == 0 || corner == 3 ? x + width - r : x + r;
            double middleY = corner < 2 ? y + r : y + height - r;
            for (int i = 0; i <= quarter; i++) {
                double angle = (corner + (double) i / quarter) * Math.PI / 2;
                points[0][count] = middleX + r * Math.cos(angle);
                points[1][count++] = middleY - r * Math.sin(angle);
            }
        }
        points[0][count] = points[0][0];
        points[1][count] = points[1][0];
        return points;
    }
}
