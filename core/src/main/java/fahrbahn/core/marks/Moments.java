package fahrbahn.core.marks;

import fahrbahn.core.colour.ColourSpace;

/** Number, sum and sums of products of some points of three features: enough for every school, and a point is taken out again at once. */
final class Moments {
    private static final int P = ColourSpace.CHANNELS;

    private final int n;
    private final double[] sum;
    private final double[] products;

    private Moments(int n, double[] sum, double[] products) {
        this.n = n;
        this.sum = sum;
        this.products = products;
    }

    static Moments none() {
        return new Moments(0, new double[P], new double[P * P]);
    }

    Moments with(double[] point) {
        return changed(point, 1);
    }

    Moments without(double[] point) {
        return changed(point, -1);
    }

    private Moments changed(double[] point, int sign) {
        double[] newSum = sum.clone();
        double[] newProducts = products.clone();
        for (int i = 0; i < P; i++) {
            newSum[i] += sign * point[i];
            for (int j = 0; j < P; j++) {
                newProducts[P * i + j] += sign * point[i] * point[j];
            }
        }
        return new Moments(n + sign, newSum, newProducts);
    }

    Moments without(Moments part) {
        double[] newSum = sum.clone();
        double[] newProducts = products.clone();
        for (int i = 0; i < P; i++) {
            newSum[i] -= part.sum[i];
        }
        for (int i = 0; i < P * P; i++) {
            newProducts[i] -= part.products[i];
        }
        return new Moments(n - part.n, newSum, newProducts);
    }

    int n() {
        return n;
    }

    double[] mean() {
        double[] mean = new double[P];
        for (int i = 0; i < P; i++) {
            mean[i] = sum[i] / n;
        }
        return mean;
    }

    /** Sum of products of departures from the mean. */
    double scatter(int i, int j) {
        return n == 0 ? 0 : products[P * i + j] - sum[i] * sum[j] / n;
    }

    /** Standard deviation of a feature, n - 1; 0 of a single point. */
    double sd(int i) {
        return n < 2 ? 0 : Math.sqrt(Math.max(0, scatter(i, i)) / (n - 1));
    }
}
