package fahrbahn.core.belief;

import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.ToDoubleFunction;

/** Robots that may be the one, each with its weight. Changes trial by trial; not thread-safe. */
public final class Belief {
    /** At first, when they lie far apart. */
    static final int WIDE = 200;

    /** Once they have been drawn anew. */
    static final int CLOSE = 80;

    /** Fewer robots than this share that count are drawn anew from those that do. */
    private static final double LEAST_EFFECTIVE = 0.5;

    /** How far a robot drawn anew lies from the one it is drawn from, in standard deviations of all: few robots shrink by chance, this makes up for it. */
    private static final double APART = 0.4;

    /** The twin is not the table, and trials of one evening are not strangers: what was seen counts for a little less than it says. */
    private static final double TEMPER = 0.8;

    /** Before anything is seen: wrong sign, swapped sensors or the wrong edge, one robot in thirty. */
    private static final double WRONG_WAY = 1.0 / 30;

    /** What was seen, whatever was counted or timed, is this unlikely with every robot there may be: it fits none, or the eyes erred. */
    private static final double FITS_NONE = 0.05;

    private final Ghosts ghosts;
    private final long seed;
    private final SplittableRandom random;
    private final Workers workers;
    private List<Particle> particles = new ArrayList<>();
    private double[] weights = new double[WIDE];
    private double wrongWay = WRONG_WAY;
    private int trials;
    private boolean contradicts;

    public Belief(Ghosts ghosts, Prior prior, long seed, Workers workers) {
        this.ghosts = ghosts;
        this.seed = seed;
        this.random = new SplittableRandom(seed);
        this.workers = workers;
        for (int i = 0; i < WIDE; i++) {
            particles.add(Particle.believed(random, prior));
            weights[i] = 1.0 / WIDE;
        }
    }

    /** Weighs every robot by what was seen. */
    public void see(Trial trial, Job job) {
        int first = WIDE * trials++;
        Candidate setting = new Candidate(trial.kp(), trial.kd(), trial.baseCommand());
        double[] likelihood = new double[particles.size()];
        double[] sight = new double[particles.size()];
        List<Particle> now = particles;
        workers.run(
                now.size(),
                i -> {
                    // Each from a start of its own: together they stand for robots and for evenings.
                    Start start = Ghosts.EVENING.draw(0, seed, first + i);
                    RunResult run = ghosts.run(now.get(i), setting, start);
                    sight[i] = Sight.likelihood(trial.seenOnly(), run, ghosts);
                    likelihood[i] = Sight.likelihood(trial, run, ghosts);
                },
                job);
        double fits = 0;
        double looks = 0;
        for (int i = 0; i < particles.size(); i++) {
            fits += weights[i] * likelihood[i];
            looks += weights[i] * sight[i];
        }
        double wrong = wrongWayShows(trial.seen());
        double both = wrongWay * wrong + (1 - wrongWay) * fits;
        wrongWay = wrongWay * wrong / both;
        contradicts = Math.max(looks, wrongWay) < FITS_NONE;
        if (trial.seen() == Seen.TURNS_AWAY) {
            return; // that says nothing of a robot that steers the right way
        }
        double sum = 0;
        for (int i = 0; i < particles.size(); i++) {
            weights[i] *= Math.pow(likelihood[i], TEMPER);
            sum += weights[i];
        }
        for (int i = 0; i < particles.size(); i++) {
            weights[i] /= sum;
        }
        if (effective() < LEAST_EFFECTIVE * particles.size()) {
            drawAnew();
        }
    }

    /** What a robot that steers the wrong way is seen to do. */
    private static double wrongWayShows(Seen seen) {
        return switch (seen) {
            case TURNS_AWAY -> 0.85;
            case LOST_STRAIGHT -> 0.1;
            case OTHER -> 0.05;
            default -> 0.004;
        };
    }

    /** How many robots count: one over the sum of the squares of the weights. */
    public double effective() {
        double squares = 0;
        for (double weight : weights) {
            squares += weight * weight;
        }
        return 1 / squares;
    }

    private void drawAnew() {
        double[] mean = new double[Particle.FIGURES];
        double[] variance = new double[Particle.FIGURES];
        for (int i = 0; i < particles.size(); i++) {
            double[] figures = particles.get(i).figures();
            for (int k = 0; k < mean.length; k++) {
                mean[k] += weights[i] * figures[k];
            }
        }
        for (int i = 0; i < particles.size(); i++) {
            double[] figures = particles.get(i).figures();
            for (int k = 0; k < mean.length; k++) {
                variance[k] += weights[i] * (figures[k] - mean[k]) * (figures[k] - mean[k]);
            }
        }
        List<Particle> anew = new ArrayList<>();
        double from = random.nextDouble() / CLOSE;
        double upTo = weights[0];
        int at = 0;
        for (int i = 0; i < CLOSE; i++) {
            while (from + (double) i / CLOSE > upTo && at < particles.size() - 1) {
                upTo += weights[++at];
            }
            double[] figures = particles.get(at).figures();
            for (int k = 0; k < figures.length; k++) {
                figures[k] += APART * Math.sqrt(variance[k]) * random.nextGaussian();
            }
            anew.add(Particle.of(figures));
        }
        particles = anew;
        weights = new double[CLOSE];
        Arrays.fill(weights, 1.0 / CLOSE);
    }

    /** The robot whose every figure is the belief's middle. */
    public Particle middle() {
        return new Particle(
                range(Particle::lag).mid(),
                range(Particle::delay).mid(),
                range(Particle::speed).mid(),
                range(Particle::width).mid(),
                range(Particle::slope).mid(),
                range(Particle::mismatch).mid());
    }

    /** Some of the robots, each as often as it weighs. */
    public List<Particle> some(int count) {
        List<Particle> some = new ArrayList<>();
        double upTo = weights[0];
        int at = 0;
        for (int i = 0; i < count; i++) {
            while ((i + 0.5) / count > upTo && at < particles.size() - 1) {
                upTo += weights[++at];
            }
            some.add(particles.get(at));
        }
        return some;
    }

    /** Chance that it steers the wrong way. */
    public double wrongWay() {
        return wrongWay;
    }

    /** Whether what was seen last fits no robot that there may be. */
    public boolean contradicts() {
        return contradicts;
    }

    /** A figure's ends, with one in twenty beyond either, and its middle. */
    public record Range(double low, double mid, double high) {
        Range times(double unit) {
            return new Range(low * unit, mid * unit, high * unit);
        }
    }

    Range range(ToDoubleFunction<Particle> figure) {
        Integer[] order = new Integer[particles.size()];
        for (int i = 0; i < particles.size(); i++) {
            order[i] = i;
        }
        Arrays.sort(order, Comparator.comparingDouble(i -> figure.applyAsDouble(particles.get(i))));
        return new Range(quantile(order, figure, 0.05), quantile(order, figure, 0.5), quantile(order, figure, 0.95));
    }

    private double quantile(Integer[] order, ToDoubleFunction<Particle> figure, double share) {
        double sum = 0;
        for (int i : order) {
            sum += weights[i];
            if (sum >= share) {
                return figure.applyAsDouble(particles.get(i));
            }
        }
        return figure.applyAsDouble(particles.get(order[order.length - 1]));
    }

    public Range lagS() {
        return range(Particle::lag).times(ghosts.setup().robot().drive().lagS());
    }

    public Range delayS() {
        return range(Particle::delay).times(ghosts.setup().robot().loop().delayS());
    }

    public Range freeSpeedMmPerS() {
        return range(Particle::speed).times(ghosts.setup().robot().drive().freeSpeedMmPerS());
    }

    public Range effectiveWidthMm() {
        return range(Particle::width).times(ghosts.setup().robot().drive().effectiveTrackWidthMm());
    }

    public Range slopeShare() {
        return range(Particle::slope);
    }

    public Range mismatchShare() {
        return range(ghosts::mismatch);
    }
}
