package fahrbahn.core.tuning;

import fahrbahn.core.check.Rounding;
import fahrbahn.core.loop.LoopModel;
import fahrbahn.core.loop.SampledLoop;
import fahrbahn.core.sensing.Variation;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;

/**
 * What an integral gain buys and what it costs, by the twin without noise. It buys what proportional gain alone cannot have: on a bend, and with one
 * wheel quicker than the other, the steering needs an error to live on, so the robot rides beside its path until the sum has taken over. It costs room before the
 * wiggle, and what was summed up in the bend swings the robot out where the bend ends.
 */
public final class IntegralTrade {
    /** So much quicker the right wheel is in the trial of uneven wheels. */
    public static final double UNEVEN_SHARE = 0.03;

    /** Times in which the sum of a lasting error comes to count as much as the error itself: Kp over Ki per second, s. */
    private static final double[] RESET_S = {4, 2, 1, 0.5, 0.25};

    private static final double STRAIGHT_MM = 2000;
    private static final int DIGITS = 2;
    private static final double MOST_MARGIN = 16;
    private static final double MARGIN_STEP = 1.1;
    private static final int MARGIN_HALVINGS = 10;

    /**
     * One integral gain.
     *
     * @param ki per loop
     * @param bendMm how far beside its path it rides at the end of the tightest bend; NaN when it does not come round
     * @param unevenMm the same at the end of two metres of straight with uneven wheels; NaN when it is lost
     * @param swingMm how far it goes on turning beyond its path after the bend; NaN when it does not come round
     * @param margin by how much all gains may grow together before it wiggles, up to 16; 0 when it does as it is
     */
    public record Row(double ki, double bendMm, double unevenMm, double swingMm, double margin) {}

    private IntegralTrade() {}

    /**
     * None first, then more and more, the setup's own among them.
     *
     * @throws fahrbahn.core.check.BadValueException when no loop can be reckoned, or the robot cannot be put on its bend
     */
    public static List<Row> of(Setup setup) {
        Law law = setup.law();
        TreeSet<Double> gains = new TreeSet<>(List.of(0.0, law.ki()));
        for (double resetS : RESET_S) {
            double ki = law.kp() * setup.robot().loop().periodS() / resetS;
            gains.add(Rounding.significant(ki, DIGITS));
        }
        SampledLoop loop = new SampledLoop(LoopModel.of(setup));
        Track straight = Track.straight(STRAIGHT_MM, setup);
        TestBend bend = TestBend.of(setup);
        List<Row> rows = new ArrayList<>();
        for (double ki : gains) {
            rows.add(row(setup.withLaw(law.withGains(law.kp(), ki, law.kd())), loop, straight, bend));
        }
        return rows;
    }

    private static Row row(Setup setup, SampledLoop loop, Track straight, TestBend bend) {
        TestBend.Left round = bend.left(setup);
        Trace along = new Trace();
        Variation uneven = new Variation(1, 1, UNEVEN_SHARE, 0, 0, 1, 1, 0);
        RunResult stays = Twin.run(straight, setup, new Start(0, 0, uneven, 0), along);
        return new Row(
                setup.law().ki(),
                round.round() ? round.lastMm() : Double.NaN,
                stays.completed() ? Math.abs(meanOfLastTenth(along)) : Double.NaN,
                round.round() ? round.afterMm() : Double.NaN,
                margin(loop, setup.law()));
    }

    private static double meanOfLastTenth(Trace trace) {
        double sum = 0;
        int from = trace.size() * 9 / 10;
        for (int i = from; i < trace.size(); i++) {
            sum += trace.offsetMm(i);
        }
        return sum / (trace.size() - from);
    }

    /** The first wiggle upwards, bracketed in steps and then halved. */
    private static double margin(SampledLoop loop, Law law) {
        if (!calm(loop, law, 1)) {
            return 0;
        }
        double low = 1;
        while (low < MOST_MARGIN && calm(loop, law, low * MARGIN_STEP)) {
            low *= MARGIN_STEP;
        }
        double high = low * MARGIN_STEP;
        for (int i = 0; i < MARGIN_HALVINGS; i++) {
            double middle = (low + high) / 2;
            low = calm(loop, law, middle) ? middle : low;
            high = low == middle ? high : middle;
        }
        return Math.min(MOST_MARGIN, low);
    }

    private static boolean calm(SampledLoop loop, Law law, double times) {
        return loop.spectralRadius(times * law.kp(), times * law.ki(), times * law.kd()) < 1;
    }
}
