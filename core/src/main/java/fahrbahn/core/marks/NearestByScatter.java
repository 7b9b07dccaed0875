package fahrbahn.core.marks;

import fahrbahn.core.colour.ColourRule;
import fahrbahn.core.colour.ColourSpace;
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
final class NearestByScatter {
    private static final double RIDGE_SHARE = 0.001;

    private NearestByScatter() {}

    static Learnt of(ColourSpace space, Map<String, Moments> surfaces) {
        int p = ColourSpace.CHANNELS;
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
        double[][] inverse =
                new LUDecomposition(steady).getSolver().getInverse().getData();
        List<ColourRule.Known> known = NearestCentre.means(surfaces);
        List<Learnt.Constant> constants = new ArrayList<>(NearestCentre.constants(known));
        List<Double> metric = new ArrayList<>();
        for (int i = 0; i < p; i++) {
            for (int j = 0; j <= i; j++) {
                metric.add(inverse[i][j]);
                constants.add(new Learnt.Constant("inverse scatter " + (i + 1) + " " + (j + 1), inverse[i][j]));
            }
        }
        return new Learnt(new ColourRule(space, metric, known), constants);
    }
}
