package fahrbahn.core.marks;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;

/**
 * The surface whose mean is nearest by the pooled scatter within surfaces, all equally likely (Mahalanobis, Proc. Natl. Inst. Sci. India 2,
 * 1936, p. 49; linear discriminant of Fisher). A thousandth of the mean variance is added to each axis, so that readings without scatter
 * along one do not make it count for everything.
 */
record NearestByScatter(Map<String, double[]> centres, double[][] inverse) implements MarkClassifier {
    private static final double RIDGE_SHARE = 0.001;

    static NearestByScatter of(Map<String, Moments> surfaces) {
        int p = MarkSpace.CHANNELS;
        double[][] pooled = new double[p][p];
        int freedom = 0;
        for (Moments surface : surfaces.values()) {
            freedom += Math.max(0, surface.n() - 1);
            for (int i = 0; i < p; i++) {
                for (int j = 0; j < p; j++) {
                    pooled[i][j] += surface.scatter(i, j);
                }
            }
        }
        RealMatrix scatter = MatrixUtils.createRealMatrix(pooled).scalarMultiply(1.0 / Math.max(1, freedom));
        double trace = scatter.getTrace();
        double ridge = trace > 0 ? RIDGE_SHARE * trace / p : 1; // without any scatter all axes count alike
        RealMatrix steady = scatter.add(MatrixUtils.createRealIdentityMatrix(p).scalarMultiply(ridge));
        return new NearestByScatter(
                NearestCentre.means(surfaces),
                new LUDecomposition(steady).getSolver().getInverse().getData());
    }

    @Override
    public String take(double[] features) {
        String nearest = NONE;
        double least = Double.POSITIVE_INFINITY;
        for (Map.Entry<String, double[]> centre : centres.entrySet()) {
            double distance = distance(features, centre.getValue());
            if (distance < least) {
                least = distance;
                nearest = centre.getKey();
            }
        }
        return nearest;
    }

    private double distance(double[] features, double[] centre) {
        double sum = 0;
        for (int i = 0; i < features.length; i++) {
            for (int j = 0; j < features.length; j++) {
                sum += (features[i] - centre[i]) * inverse[i][j] * (features[j] - centre[j]);
            }
        }
        return sum;
    }

    @Override
    public List<Constant> constants() {
        List<Constant> constants = new ArrayList<>(new NearestCentre(centres).constants());
        for (int i = 0; i < inverse.length; i++) {
            for (int j = 0; j <= i; j++) {
                constants.add(new Constant("inverse scatter " + (i + 1) + " " + (j + 1), inverse[i][j]));
            }
        }
        return constants;
    }
}
