package fahrbahn.core.loop;

import org.hipparchus.complex.Complex;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.SchurTransformer;

/**
 * Eigenvalues of a real matrix, without its vectors, which take most of the time of a whole decomposition: read off the blocks of one or two rows
 * on the diagonal of its real Schur form (Golub and Van Loan, Matrix Computations, ch. 7.4).
 */
final class Poles {
    /** Below the diagonal, against the whole matrix: what the iteration leaves where it has told two eigenvalues apart. */
    private static final double NEGLIGIBLE = 1e-12;

    private Poles() {}

    /** The one farthest from 0; of a pair the one above the real axis. */
    static Complex farthest(RealMatrix matrix) {
        RealMatrix t = new SchurTransformer(matrix).getT();
        Complex farthest = Complex.ZERO;
        double nothing = NEGLIGIBLE * t.getNorm1();
        int last = t.getRowDimension() - 1;
        for (int i = 0; i <= last; i++) {
            boolean single = i == last || Math.abs(t.getEntry(i + 1, i)) <= nothing;
            Complex pole = single
                    ? new Complex(t.getEntry(i, i), 0)
                    : ofBlock(t.getEntry(i, i), t.getEntry(i, i + 1), t.getEntry(i + 1, i), t.getEntry(i + 1, i + 1));
            if (!single) {
                i++;
            }
            farthest = pole.norm() > farthest.norm() ? pole : farthest;
        }
        return farthest;
    }

    /** The larger eigenvalue of a matrix of two rows [a b; c d]. */
    private static Complex ofBlock(double a, double b, double c, double d) {
        double middle = (a + d) / 2;
        double half = (a - d) / 2;
        double square = half * half + b * c;
        return square < 0
                ? new Complex(middle, Math.sqrt(-square))
                : new Complex(middle + Math.copySign(Math.sqrt(square), middle), 0);
    }
}
