package fahrbahn.core.loop;

import fahrbahn.core.check.Rounding;
import fahrbahn.core.response.ErrorCurve;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;

/**
 * Recommends one Kp and Kd: of all pairs that keep clear of wiggling, hold the tightest bend and do not turn sensor noise into
 * shaking, the one whose slowest motion dies out soonest. The three margins are ours, with their reasons beside them.
 */
public final class GainAdvisor {
    /** Wiggle onset at least this many times the Kp: a gain margin of 6 dB, the lower end of the usual 2 to 5. */
    static final double LEAST_GAIN_MARGIN = 2;

    /** Kp at least this many times the bend floor, for a battery, a line or a mat a quarter off. */
    static final double LEAST_BEND_MARGIN = 1.25;

    /** Steering noise, one sigma, at most this share of the full command: three sigmas stay below a sixth of it. */
    static final double MOST_SHAKE = 0.05;

    private static final double[] KD_PER_KP = {0, 0.5, 1, 1.5, 2, 3, 4, 5, 6, 8, 10, 12, 16, 20};

    /** Kp tried per ratio, evenly spread in the logarithm: 4 % apart over a 16-fold span. */
    private static final int KP_STEPS = 70;

    private static final double KP_SPAN = 16;

    private static final int DIGITS = 2;

    private final Setup setup;
    private final SampledLoop loop;
    private final double bendKp;
    private final double noise;

    private GainAdvisor(Setup setup) {
        ErrorCurve curve = ErrorCurve.of(setup);
        LoopModel model = LoopModel.of(setup, curve);
        this.setup = setup;
        this.loop = new SampledLoop(model);
        this.bendKp =
                BendFloor.of(setup, curve).kp(setup.robot().drive(), setup.law().baseCommand());
        this.noise = curve.noise();
    }

    /** Empty when no pair of gains meets all margins at the setup's speed. */
    public static Optional<GainAdvice> advise(Setup setup) {
        return new GainAdvisor(setup).best();
    }

    /**
     * Pairs all over what keeps the three margins, to be tried: for each ratio of Kd to Kp from the bend floor with its margin up to half
     * the onset, or to where it shakes.
     *
     * @param steps for each ratio, 2 or more
     */
    public static List<GainAdvice> proposals(Setup setup, int steps) {
        GainAdvisor advisor = new GainAdvisor(setup);
        List<GainAdvice> proposals = new ArrayList<>();
        for (double ratio : KD_PER_KP) {
            double shaking =
                    MOST_SHAKE * setup.robot().drive().fullCommand() / (advisor.noise * Math.hypot(1 + ratio, ratio));
            for (StableSpan calm : StableSpan.along(advisor.loop, GainRay.ratio(ratio))) {
                double highest = Math.min(calm.toKp() / LEAST_GAIN_MARGIN, shaking);
                double lowest = Math.max(LEAST_BEND_MARGIN * advisor.bendKp, LEAST_GAIN_MARGIN * calm.fromKp());
                for (int i = 0; i < steps && lowest <= highest; i++) {
                    double kp = lowest * Math.pow(highest / lowest, i / (steps - 1.0));
                    GainAdvice pair = advisor.judge(kp, ratio * kp);
                    if (pair.keepsMargins()) {
                        proposals.add(pair);
                    }
                }
            }
        }
        return proposals;
    }

    /** How pairs of one setup stand to the margins, rounded to two digits. */
    public static BiFunction<Double, Double, GainAdvice> judging(Setup setup) {
        return new GainAdvisor(setup)::judge;
    }

    private GainAdvice judge(double exactKp, double exactKd) {
        double kp = Rounding.significant(exactKp, DIGITS);
        double kd = Rounding.significant(exactKd, DIGITS);
        double radius = loop.spectralRadius(kp, 0, kd);
        double gainMargin = margin(kp, kd);
        return new GainAdvice(
                kp,
                kd,
                gainMargin,
                kp / bendKp,
                radius < 1 ? -setup.robot().loop().periodS() / Math.log(radius) : Double.POSITIVE_INFINITY,
                noise * Math.hypot(kp + kd, kd) / setup.robot().drive().fullCommand());
    }

    /** Factor by which both gains may change together, up or down, before it wiggles; 0 when it does as it is. */
    private double margin(double kp, double kd) {
        return StableSpan.along(loop, GainRay.ratio(kd / kp)).stream()
                .filter(calm -> calm.holds(kp))
                .findFirst()
                .map(calm -> calm.margin(kp))
                .orElse(0.0);
    }

    private Optional<GainAdvice> best() {
        GainAdvice best = null;
        for (double ratio : KD_PER_KP) {
            for (StableSpan calm : StableSpan.along(loop, GainRay.ratio(ratio))) {
                double highest = calm.toKp() / LEAST_GAIN_MARGIN;
                double lowest = Math.max(
                        Math.max(LEAST_BEND_MARGIN * bendKp, LEAST_GAIN_MARGIN * calm.fromKp()), highest / KP_SPAN);
                for (int i = 0; i <= KP_STEPS && lowest <= highest; i++) {
                    double kp = highest * Math.pow(lowest / highest, (double) i / KP_STEPS);
                    GainAdvice candidate =
                            rounded(kp, ratio * kp, best == null ? Double.POSITIVE_INFINITY : best.settlingS());
                    best = candidate == null ? best : candidate;
                }
            }
        }
        return Optional.ofNullable(best);
    }

    /**
     * Two digits are what a coach types; the rounded gains are judged, not the ideal ones. Null when they fail a margin or do not
     * settle sooner than what there is: the onset, costly to find, is looked for last.
     */
    private GainAdvice rounded(double exactKp, double exactKd, double soonerThanS) {
        double kp = Rounding.significant(exactKp, DIGITS);
        double kd = Rounding.significant(exactKd, DIGITS);
        double shake = noise * Math.hypot(kp + kd, kd) / setup.robot().drive().fullCommand();
        if (shake > MOST_SHAKE || kp < LEAST_BEND_MARGIN * bendKp) {
            return null;
        }
        double radius = loop.spectralRadius(kp, 0, kd);
        double settlingS = -setup.robot().loop().periodS() / Math.log(radius);
        if (!(radius < 1 && settlingS < soonerThanS)) {
            return null;
        }
        double margin = margin(kp, kd);
        return margin < LEAST_GAIN_MARGIN ? null : new GainAdvice(kp, kd, margin, kp / bendKp, settlingS, shake);
    }
}
