package fahrbahn.core.belief;

import java.util.random.RandomGenerator;

/**
 * One robot that may be the one, as shares of what the setup says; their logarithms are normal.
 *
 * @param slope of the reading over the edge: a smaller spot is steeper
 * @param mismatch how much faster the right wheel is than in the setup
 */
public record Particle(double lag, double delay, double speed, double width, double slope, double mismatch) {
    private static final double MISMATCH_SD = 0.015;
    private static final double CUT = 2.5;

    static final int FIGURES = 6;

    /** One robot in four twice as far off as usual: what is copied may be from another robot altogether. */
    public static Particle believed(RandomGenerator random, Prior prior) {
        return drawn(random, prior, random.nextInt(4) == 0 ? 2 : 1);
    }

    /** @param wider how much further off than usual */
    public static Particle drawn(RandomGenerator random, Prior prior, double wider) {
        double[] log = new double[FIGURES];
        for (int i = 0; i < Prior.TOLD.size(); i++) {
            log[i] = wider * prior.share(Prior.TOLD.get(i)) * cut(random);
        }
        log[FIGURES - 1] = wider * MISMATCH_SD * cut(random);
        return of(log);
    }

    private static double cut(RandomGenerator random) {
        return Math.max(-CUT, Math.min(CUT, random.nextGaussian()));
    }

    /** Logarithms of the shares, and the mismatch as it is. */
    double[] figures() {
        return new double[] {Math.log(lag), Math.log(delay), Math.log(speed), Math.log(width), Math.log(slope), mismatch
        };
    }

    static Particle of(double[] figures) {
        return new Particle(
                Math.exp(figures[0]),
                Math.exp(figures[1]),
                Math.exp(figures[2]),
                Math.exp(figures[3]),
                Math.exp(figures[4]),
                Math.max(-0.2, Math.min(0.2, figures[5])));
    }
}
