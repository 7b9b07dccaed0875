package fahrbahn.core.runlog;

import java.util.Arrays;
import java.util.SplittableRandom;
import java.util.function.ToDoubleFunction;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.EigenDecompositionSymmetric;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.optim.InitialGuess;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.SimpleValueChecker;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.scalar.ObjectiveFunction;
import org.hipparchus.optim.nonlinear.scalar.noderiv.NelderMeadSimplex;
import org.hipparchus.optim.nonlinear.scalar.noderiv.SimplexOptimizer;

/**
 * What is known of some unknowns whose cost, minus the log of likelihood and prior, can be worked out: its top by a simplex, and mean and spread by
 * importance sampling about it (J. Geweke, Econometrica 57 (1989), 1317), first about the curvature at the top, then about what that found. A
 * curvature alone tells too small an error wherever the top is skew. Seeded: the same log tells the same.
 */
final class LogPosterior {
    /** Minus the log of likelihood and prior, less a constant. */
    @FunctionalInterface
    interface Cost {
        double of(double[] unknowns);
    }

    private static final int MOST_EVALUATIONS = 1500;

    /** Steps for the curvature are such that the cost rises by about 1. */
    private static final double FIRST_STEP = 0.1;

    private static final double MOST_STEP = 1;
    private static final double LEAST_STEP = 1e-4;
    private static final double LEAST_RISE = 0.3;
    private static final double MOST_RISE = 3;

    private static final int ROUNDS = 3;
    private static final int DRAWS = 300;
    private static final int LAST_DRAWS = 500;

    /** Fewer draws that count are no spread: weights are made more even until there are as many, and the next round is drawn about those. */
    private static final double LEAST_EFFECTIVE = 40;

    private static final double EVENER = 0.8;
    private static final double LEAST_POWER = 1e-3;

    /** Heavier tails than a normal, so that no place where the cost is low is left out. */
    private static final int FREEDOM = 5;

    private static final double WIDER = 1.2;

    private static final long SEED = 4;

    private final Cost cost;
    private final int unknowns;

    LogPosterior(Cost cost, int unknowns) {
        this.cost = cost;
        this.unknowns = unknowns;
    }

    double cost(double[] at) {
        return cost.of(at);
    }

    /** The lowest cost near a place. @param close of the cost, where it may stop */
    double[] search(double[] from, double[] steps, double close) {
        return new SimplexOptimizer(new SimpleValueChecker(-1, close))
                .optimize(
                        new MaxEval(MOST_EVALUATIONS),
                        new ObjectiveFunction(cost::of),
                        GoalType.MINIMIZE,
                        new InitialGuess(from),
                        new NelderMeadSimplex(steps))
                .getPoint();
    }

    /** Draws with their weights, which add up to 1. */
    record Draws(double[][] at, double[] weights) {
        double mean(ToDoubleFunction<double[]> figure) {
            double sum = 0;
            for (int i = 0; i < at.length; i++) {
                sum += weights[i] * figure.applyAsDouble(at[i]);
            }
            return sum;
        }

        double[] mean(int unknowns) {
            double[] mean = new double[unknowns];
            Arrays.setAll(mean, i -> mean(x -> x[i]));
            return mean;
        }

        RealMatrix covariance(int unknowns) {
            double[] mean = mean(unknowns);
            double[][] spread = new double[unknowns][unknowns];
            for (int i = 0; i < unknowns; i++) {
                for (int k = 0; k < unknowns; k++) {
                    int a = i;
                    int b = k;
                    spread[i][k] = mean(x -> (x[a] - mean[a]) * (x[b] - mean[b]));
                }
            }
            return MatrixUtils.createRealMatrix(spread);
        }

        double sd(ToDoubleFunction<double[]> figure) {
            double mean = mean(figure);
            return Math.sqrt(mean(x -> {
                double off = figure.applyAsDouble(x) - mean;
                return off * off;
            }));
        }
    }

    /** @param top the place of the lowest cost */
    Draws draws(double[] top) {
        SplittableRandom random = new SplittableRandom(SEED);
        double least = cost.of(top);
        Draws draws = drawn(random, DRAWS, top, covariance(top), least);
        for (int round = 1; round < ROUNDS; round++) {
            boolean last = round == ROUNDS - 1;
            draws = drawn(random, last ? LAST_DRAWS : DRAWS, draws.mean(unknowns), draws.covariance(unknowns), least);
        }
        return draws;
    }

    private Draws drawn(SplittableRandom random, int count, double[] middle, RealMatrix covariance, double least) {
        RealMatrix root = root(covariance.scalarMultiply(WIDER * WIDER));
        double[][] at = new double[count][];
        double[] logs = new double[count];
        for (int n = 0; n < count; n++) {
            double[] normal = new double[unknowns];
            double squares = 0;
            for (int i = 0; i < unknowns; i++) {
                normal[i] = random.nextGaussian();
                squares += normal[i] * normal[i];
            }
            double chi = 0;
            for (int i = 0; i < FREEDOM; i++) {
                double one = random.nextGaussian();
                chi += one * one;
            }
            double stretch = Math.sqrt(FREEDOM / chi);
            double[] off = root.operate(normal);
            at[n] = new double[unknowns];
            for (int i = 0; i < unknowns; i++) {
                at[n][i] = middle[i] + stretch * off[i];
            }
            // Of the proposal, a multivariate Student's: less what is the same for all.
            double proposed = -0.5 * (FREEDOM + unknowns) * Math.log1p(stretch * stretch * squares / FREEDOM);
            logs[n] = least - cost.of(at[n]) - proposed;
            logs[n] = Double.isNaN(logs[n]) ? Double.NEGATIVE_INFINITY : logs[n];
        }
        return new Draws(at, weights(logs));
    }

    private static double[] weights(double[] logs) {
        double[] weights = weights(logs, 1);
        for (double even = EVENER; effective(weights) < LEAST_EFFECTIVE && even > LEAST_POWER; even *= EVENER) {
            weights = weights(logs, even);
        }
        return weights;
    }

    private static double[] weights(double[] logs, double power) {
        double most = Arrays.stream(logs).max().orElseThrow();
        double[] weights =
                Arrays.stream(logs).map(l -> Math.exp(power * (l - most))).toArray();
        double sum = Arrays.stream(weights).sum();
        return Arrays.stream(weights).map(w -> w / sum).toArray();
    }

    /** One over the sum of the squares of the weights. */
    private static double effective(double[] weights) {
        return 1 / Arrays.stream(weights).map(w -> w * w).sum();
    }

    /** A matrix whose square is this one; where it is hardly one, by its eigenvalues. */
    private static RealMatrix root(RealMatrix covariance) {
        try {
            return new CholeskyDecomposition(covariance, 1e-9, 1e-12).getL();
        } catch (MathRuntimeException notPositive) {
            EigenDecompositionSymmetric parts = new EigenDecompositionSymmetric(covariance);
            double[] roots = Arrays.stream(parts.getEigenvalues())
                    .map(v -> Math.sqrt(Math.max(1e-8, v)))
                    .toArray();
            return parts.getV().multiply(MatrixUtils.createRealDiagonalMatrix(roots));
        }
    }

    /** The inverse of the cost's second derivatives, by central differences; a direction in which it hardly bends is as wide as a factor e. */
    private RealMatrix covariance(double[] at) {
        double[] steps = new double[unknowns];
        Arrays.setAll(steps, i -> step(at, i));
        RealMatrix curvature = MatrixUtils.createRealMatrix(unknowns, unknowns);
        for (int i = 0; i < unknowns; i++) {
            for (int k = 0; k <= i; k++) {
                double second = moved(at, i, steps[i], k, steps[k])
                        - moved(at, i, steps[i], k, -steps[k])
                        - moved(at, i, -steps[i], k, steps[k])
                        + moved(at, i, -steps[i], k, -steps[k]);
                // In units of the steps all directions bend alike.
                curvature.setEntry(i, k, second / 4);
                curvature.setEntry(k, i, second / 4);
            }
        }
        EigenDecompositionSymmetric parts = new EigenDecompositionSymmetric(curvature);
        double[] variances = Arrays.stream(parts.getEigenvalues())
                .map(bend -> 1 / Math.max(LEAST_RISE / 4, bend))
                .toArray();
        RealMatrix scale = MatrixUtils.createRealDiagonalMatrix(steps);
        return scale.multiply(parts.getV())
                .multiply(MatrixUtils.createRealDiagonalMatrix(variances))
                .multiply(parts.getVT())
                .multiply(scale);
    }

    private double step(double[] at, int i) {
        double step = FIRST_STEP;
        double least = cost.of(at);
        for (int tries = 0; tries < 20; tries++) {
            double rise = (moved(at, i, step, i, 0) + moved(at, i, -step, i, 0)) / 2 - least;
            if (rise > MOST_RISE && step > LEAST_STEP) {
                step /= 2;
            } else if (rise < LEAST_RISE && step < MOST_STEP) {
                step *= 1.7;
            } else {
                break;
            }
        }
        return step;
    }

    private double moved(double[] at, int i, double byI, int k, double byK) {
        double[] there = at.clone();
        there[i] += byI;
        there[k] += byK;
        return cost.of(there);
    }
}
